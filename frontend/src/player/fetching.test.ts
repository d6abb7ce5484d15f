import { beforeEach, describe, expect, it, vi } from 'vitest'
import { takeBeside, takeWhole } from './fetching'

/** Files by their address, and their SHA-256 from sha256sum. */
const FILES: Record<string, string> = { '/a': '{"days":1}', '/one': '{"n":1}', '/two': '{"n":2}' }
const SUMS: Record<string, string> = {
  '/a': '3dac280c423acd4be61728f4a35b57d05e93ce2bf9e302d58327809d5708642b',
  '/one': '2bfd14f43d17fc7cea24e0917a8879b4b2f880b8baeec1b9d90fbaad655e71bd',
  '/two': '363379742f80b51bdb9206579af7754911543079b9399cb3fc315fb199f476e8',
}
const file = (url: string) => ({ url, sha256: SUMS[url]! })

describe('a programme', () => {
  // Of `film`, and of the plan, from sha256sum.
  const FILM = 'd0607f7ad2628b2af9158dfba06ce87166e66b15bf68f8f358f9aa27ccb7c321'
  const PLAN = '920aa9d1eeb0e2c863e14862977f96d0da530075da50d7a640a239c9ad01c41b'
  const plan = JSON.stringify({ plan: 2, media: [{ sha256: FILM, mime: 'video/mp4', bytes: 4 }], fonts: [] })
  const ref = { release: 1, number: 1, name: 'Hall', sha256: PLAN, base: '/base/' }
  const order = {
    sha256: 'x',
    number: 0,
    url: null,
    intervals: [{ from_ms: 0, until_ms: null, start_ms: 0, plan: ref }],
  }
  const served = (files: Record<string, string>): void => {
    vi.stubGlobal('caches', {
      open: () => Promise.resolve({ match: () => Promise.resolve(undefined), put: () => Promise.resolve() }),
    })
    vi.stubGlobal('fetch', (url: string) =>
      Promise.resolve(new Response(files[url] ?? '', { status: url in files ? 200 : 404 })),
    )
  }

  it('is taken with all of its media, or not at all', async () => {
    served({ '/base/plan.json': plan })
    await expect(takeWhole(order)).rejects.toThrow()
    served({ '/base/plan.json': plan, [`/base/${FILM}`]: 'film' })
    expect(Object.keys((await takeWhole(order)).plans)).toEqual([ref.sha256])
  })
})

describe('what comes beside a programme', () => {
  const asked: string[] = []
  beforeEach(() => {
    asked.length = 0
    const none = { match: () => Promise.resolve(undefined), put: () => Promise.resolve() }
    vi.stubGlobal('caches', { open: () => Promise.resolve(none) })
    vi.stubGlobal('fetch', (url: string) => {
      asked.push(url)
      return Promise.resolve(new Response(FILES[url] ?? '', { status: url in FILES ? 200 : 404 }))
    })
  })
  const orders = { number: 1, almanac: file('/a'), sheets: { p: { s1: file('/one') }, q: { s1: file('/two') } } }

  it('is taken once, and held as long as orders name it', async () => {
    const taken = await takeBeside(orders, { almanac: null, sheets: {} })
    expect([taken.almanac?.content, taken.sheets['q']?.['s1']?.content]).toEqual([{ days: 1 }, { n: 2 }])
    expect(await takeBeside({ ...orders, sheets: { p: orders.sheets.p } }, taken)).toEqual({
      almanac: taken.almanac,
      sheets: { p: taken.sheets['p'] },
    })
    expect(asked).toEqual(['/a', '/one', '/two'])
  })
  it('goes on with what was held where a new one cannot be had, and takes the rest', async () => {
    const held = {
      almanac: { sha256: 'old', content: 'old' },
      sheets: { p: { s1: { sha256: 'old', content: 'old' } } },
    }
    const gone = { url: '/gone', sha256: SUMS['/one']! }
    const taken = await takeBeside({ ...orders, almanac: gone, sheets: { ...orders.sheets, p: { s1: gone } } }, held)
    expect(taken.almanac).toBe(held.almanac)
    expect(taken.sheets).toEqual({ p: held.sheets.p, q: { s1: { sha256: SUMS['/two'], content: { n: 2 } } } })
  })
})
