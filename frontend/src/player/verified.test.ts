import { beforeEach, describe, expect, it, vi } from 'vitest'
import { SteadyClock } from './steady'
import { verified } from './verified'

const right = 'the plan'
// SHA-256 of it, from sha256sum.
const SHA = 'aab8f06fecd1c041e9a3d5a86114f9e522b546918db8503a045fe4a423b3642a'

function cacheOf(kept: string | null): { cache: Cache; has: () => boolean } {
  let held = kept === null ? undefined : new Response(kept)
  const cache = {
    match: () => Promise.resolve(held?.clone()),
    delete: () => Promise.resolve(((held = undefined), true)),
    put: (_: string, answer: Response) => Promise.resolve(void (held = answer)),
  }
  return { cache: cache as unknown as Cache, has: () => held !== undefined }
}

describe('a file of a release', () => {
  const asked: string[] = []
  const answers: string[] = []
  beforeEach(() => {
    asked.length = answers.length = 0
    vi.stubGlobal('fetch', (_: string, init: RequestInit) => {
      asked.push(String(init.cache))
      return Promise.resolve(new Response(answers.shift()))
    })
  })
  const text = async (cache: Cache): Promise<string> => new TextDecoder().decode(await verified(cache, '/f', SHA))

  it('is taken from what is kept when that is right', async () => {
    expect(await text(cacheOf(right).cache)).toBe(right)
    expect(asked).toEqual([])
  })
  it('is fetched anew when what is kept is cut off', async () => {
    answers.push(right)
    expect(await text(cacheOf('the p').cache)).toBe(right)
    expect(asked).toEqual(['default'])
  })
  it('is fetched around the cache when that gives the wrong one', async () => {
    answers.push('an error page', right)
    const { cache, has } = cacheOf(null)
    expect(await text(cache)).toBe(right)
    expect([asked, has()]).toEqual([['default', 'reload'], true])
  })
  it('is never kept when it is wrong', async () => {
    answers.push('wrong', 'wrong again')
    const { cache, has } = cacheOf('wrong before')
    await expect(text(cache)).rejects.toThrow('sha256')
    expect(has()).toBe(false)
  })
})

describe('the clock', () => {
  it('takes only finite times', () => {
    const clock = new SteadyClock(() => 0, 1000)
    clock.hear(Number.NaN, 0)
    clock.hear(Number.POSITIVE_INFINITY, 0)
    expect(clock.now()).toBe(1000)
  })
})
