import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ProblemError } from '../api/client'
import type { DocumentAnswer, Problem } from '../api/types'
import { useDocument } from './useDocument'
import { storage } from './storage'

interface Asked {
  method: string
  path: string
  body: { revision: number; shown: number; commands: unknown[]; client: string; sure: boolean }
}
const asked = vi.hoisted((): Asked[] => [])
/** What the server says next, by method and path; a promise keeps it waiting. */
const server = vi.hoisted((): { answer: (method: string, path: string) => unknown } => ({ answer: () => undefined }))
vi.stubGlobal('localStorage', storage())
vi.mock('idb-keyval', () => {
  const kept = new Map<string, unknown>()
  return {
    get: (key: string) => Promise.resolve(kept.get(key)),
    set: (key: string, value: unknown) => Promise.resolve(void kept.set(key, value)),
    del: (key: string) => Promise.resolve(void kept.delete(key)),
    keys: () => Promise.resolve([]),
  }
})
vi.mock('./client', () => ({ clientId: () => Promise.resolve('page'), isHeld: () => Promise.resolve(false) }))
vi.mock('../session/session', () => ({ useSession: () => ({ me: { email: 'dina' } }) }))
vi.mock('../api/client', async (original) => ({
  ...(await original<typeof import('../api/client')>()),
  call: async (method: string, path: string, body: Asked['body']) => {
    asked.push({ method, path, body })
    return await server.answer(method, path)
  },
}))

const said = (revision: number): DocumentAnswer => ({ revision, undo: { undo: null, redo: null }, between: [] })
const made = () => useDocument({ take: () => undefined, view: () => ({}), mayChange: () => true })
const batches = (): Asked[] => asked.filter((one) => one.path.endsWith('/batches'))
const name = (text: string) => [{ do: 'zone.name', name: text }]

describe('a document on a page', () => {
  beforeEach(() => {
    asked.length = 0
    server.answer = (_, path) => said(path.endsWith('/batches') ? 6 + batches().length : 5)
  })

  it('sends what was done to the document it was done to, also while the next one is being opened', async () => {
    const document = made()
    await document.open('a')
    let there = (): void => undefined
    const waiting = new Promise<void>((done) => (there = done))
    server.answer = (_, path) => (path.startsWith('/api/documents/b?') ? waiting.then(() => said(1)) : said(2))
    const opening = document.open('b')
    const sent = document.send(name('for b'))
    there()
    await opening
    expect([await sent, batches().map((one) => one.path)]).toEqual([true, ['/api/documents/b/batches']])
  })

  it('takes no answer over that is for a document which is not open any more', async () => {
    const document = made()
    await document.open('left')
    let there = (): void => undefined
    const waiting = new Promise<void>((done) => (there = done))
    server.answer = (_, path) => (path.endsWith('/batches') ? waiting.then(() => said(42)) : said(5))
    const sending = document.send(name('for the one that is left'))
    while (batches().length === 0) await new Promise((done) => setTimeout(done, 0))
    const opening = document.open('next')
    there()
    await Promise.all([sending, opening])
    expect([document.id.value, document.revision.value]).toEqual(['next', 5])
  })

  it('keeps the revision on which each batch was made, whatever the server answers meanwhile', async () => {
    const document = made()
    await document.open('c')
    await Promise.all([document.send(name('one')), document.send(name('two'))])
    expect(batches().map((one) => one.body.revision)).toEqual([5, 5])
    expect(document.revision.value).toBe(8)
  })

  it('says what was refused, lets it go, and sends the rest', async () => {
    const document = made()
    await document.open('d')
    server.answer = (_, path) => {
      if (path.endsWith('/batches') && batches().length === 1)
        throw new ProblemError({ status: 422, code: 'x' } as Problem)
      return said(6)
    }
    expect(await document.send(name('wrong'))).toBe(false)
    expect(document.refusal.value).toBeInstanceOf(ProblemError)
    expect([await document.send(name('right')), document.waiting.value]).toEqual([true, 0])
  })

  it('waits for a choice, and sends mine on what others did once it is made', async () => {
    const document = made()
    await document.open('e')
    const conflict = { status: 409, code: 'document.changed_since', revision: 9 } as Problem
    server.answer = (_, path) => {
      if (path.endsWith('/batches') && batches().length === 1) throw new ProblemError(conflict)
      return said(10)
    }
    expect(await document.send(name('mine'), 'z:name', true)).toBe(false)
    expect([document.conflict.value?.revision, document.waiting.value]).toEqual([9, 1])
    await document.resolve(true)
    expect(batches().map((one) => [one.body.revision, one.body.sure])).toEqual([
      [5, true],
      [9, true],
    ])
    expect([document.conflict.value, document.waiting.value]).toEqual([null, 0])
  })

  it('lets mine go when theirs is chosen', async () => {
    const document = made()
    await document.open('f')
    const conflict = { status: 409, code: 'document.changed_since', revision: 9 } as Problem
    server.answer = (_, path) => {
      if (path.endsWith('/batches')) throw new ProblemError(conflict)
      return said(9)
    }
    await document.send(name('mine'))
    await document.resolve(false)
    expect([batches().length, document.waiting.value, document.revision.value]).toEqual([1, 0, 9])
    server.answer = () => said(10)
    expect(await document.step('undo'), 'undo waits for nothing').toBe(true)
  })

  it('says what the page shows already, so that only what is new need be answered', async () => {
    const document = made()
    await document.open('g')
    await Promise.all([document.send(name('one')), document.send(name('two'))])
    expect(batches().map((one) => one.body.shown)).toEqual([5, 7])
  })

  it.each([
    ['a fault of the server', { status: 500, code: 'server.fault' }, 'away'],
    ['an expired sign-in', { status: 401, code: 'session.needed' }, 'signed-out'],
    ['a document that was removed meanwhile', { status: 409, code: 'document.removed' }, 'away'],
  ])('keeps what was done through %s', async (_, problem, state) => {
    const document = made()
    await document.open('h')
    server.answer = (_, path) => {
      if (path.endsWith('/batches')) throw new ProblemError(problem as Problem)
      return said(5)
    }
    await document.send(name('kept'))
    expect([document.state.value, document.waiting.value]).toEqual([state, 1])
    // Another page of the same person finds it, where this one is gone.
    server.answer = (_, path) => said(path.endsWith('/batches') ? 6 : 5)
    const again = made()
    await again.open('h')
    await again.settled()
    expect([again.waiting.value, batches().at(-1)?.body.commands]).toEqual([0, name('kept')])
  })
})
