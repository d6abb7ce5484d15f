import { beforeEach, describe, expect, it, vi } from 'vitest'
import { BatchQueue } from './queue'
import { storage } from './storage'

const kept = vi.hoisted(() => new Map<string, unknown>())
const held = vi.hoisted(() => new Set<string>())
/** Whether IndexedDB answers at all: a page that is being closed does not live to see it. */
const closing = vi.hoisted(() => ({ now: false }))
vi.stubGlobal('localStorage', storage())
vi.mock('idb-keyval', () => ({
  get: (key: string) => Promise.resolve(kept.get(key)),
  set: (key: string, value: unknown) =>
    closing.now ? new Promise<void>(() => undefined) : Promise.resolve(void kept.set(key, value)),
  del: (key: string) => Promise.resolve(void kept.delete(key)),
  keys: () => Promise.resolve([...kept.keys()]),
}))
vi.mock('./client', () => ({ isHeld: (client: string) => Promise.resolve(held.has(client)) }))

const name = (text: string) => [{ do: 'zone.name', name: text }]
const made = (text: string, target: string, revision: number) => ({
  commands: name(text),
  target,
  revision,
  sure: false,
})

describe('batches on their way', () => {
  beforeEach(() => {
    kept.clear()
    held.clear()
    localStorage.clear()
    closing.now = false
    vi.useFakeTimers({ now: 0, toFake: ['Date'] })
  })

  it('are one step where one thing is set again within a second', async () => {
    const queue = await BatchQueue.open('d', 'dina', 'one')
    await queue.add(made('a', 'z:name', 5))
    vi.setSystemTime(900)
    await queue.add(made('ab', 'z:name', 6))
    expect([queue.length, queue.first()?.commands, queue.first()?.revision]).toEqual([1, name('ab'), 5])
    vi.setSystemTime(1100)
    await queue.add(made('abc', 'z:name', 6))
    await queue.add(made('x', 'other:name', 6))
    await queue.add(made('y', '', 6))
    await queue.add(made('z', '', 6))
    expect(queue.length).toBe(5)
  })

  it('leave a batch alone that is already under way', async () => {
    const queue = await BatchQueue.open('d', 'dina', 'one')
    await queue.add(made('a', 'z:name', 1))
    queue.first()!.sent = true
    await queue.add(made('ab', 'z:name', 1))
    expect([queue.length, queue.first()?.commands]).toEqual([2, name('a')])
  })

  it('are there when the tab is closed before they could be written down', async () => {
    const queue = await BatchQueue.open('d', 'dina', 'one')
    await queue.add(made('first', '', 7))
    closing.now = true
    void queue.add(made('last words', '', 7))
    closing.now = false
    const again = await BatchQueue.open('d', 'dina', 'two')
    expect([again.length, again.first()?.commands]).toEqual([2, name('first')])
    await again.shift()
    expect(again.first()?.commands).toEqual(name('last words'))
    expect(Object.keys(localStorage)).toEqual([])
  })

  it('survive a closed tab with their ids, revisions and queue, for their person and document only', async () => {
    const queue = await BatchQueue.open('d', 'dina', 'one')
    await queue.add(made('first', '', 7))
    await queue.add(made('second', '', 7))
    const first = { ...queue.first() }
    const again = await BatchQueue.open('d', 'dina', 'two')
    expect([again.length, { ...again.first() }]).toEqual([2, first])
    await again.shift()
    expect((await BatchQueue.open('d', 'dina', 'two')).first()?.commands).toEqual(name('second'))
    expect((await BatchQueue.open('d', 'ada', 'two')).length).toBe(0)
    expect((await BatchQueue.open('e', 'dina', 'two')).length).toBe(0)
  })

  it('of several pages that are gone are sent in the order in which they were made', async () => {
    vi.setSystemTime(5000)
    await (await BatchQueue.open('d', 'dina', 'one')).add(made('later', '', 7))
    held.add('one')
    vi.setSystemTime(1000)
    await (await BatchQueue.open('d', 'dina', 'two')).add(made('earlier', '', 7))
    held.clear()
    const queue = await BatchQueue.open('d', 'dina', 'three')
    expect([queue.length, queue.first()?.commands]).toEqual([2, name('earlier')])
  })

  it('stay with a page that is still open', async () => {
    const queue = await BatchQueue.open('d', 'dina', 'one')
    await queue.add(made('a', '', 1))
    held.add('one')
    expect((await BatchQueue.open('d', 'dina', 'two')).length).toBe(0)
    held.clear()
    expect((await BatchQueue.open('d', 'dina', 'two')).length).toBe(1)
  })

  it('are made anew on what others did, once a person has chosen', async () => {
    const queue = await BatchQueue.open('d', 'dina', 'one')
    await queue.add(made('a', '', 1))
    queue.first()!.sent = true
    await queue.rebase(9)
    expect([queue.first()?.revision, queue.first()?.sent]).toEqual([9, false])
  })
})
