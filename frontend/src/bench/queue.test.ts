import { beforeEach, describe, expect, it, vi } from 'vitest'
import { BatchQueue } from './queue'

const kept = vi.hoisted(() => new Map<string, unknown>())
vi.mock('idb-keyval', () => ({
  get: (key: string) => Promise.resolve(kept.get(key)),
  set: (key: string, value: unknown) => Promise.resolve(void kept.set(key, value)),
}))

const name = (text: string) => [{ do: 'zone.name', name: text }]

describe('batches on their way', () => {
  beforeEach(() => {
    kept.clear()
    vi.useFakeTimers({ now: 0, toFake: ['Date'] })
  })

  it('are one step where one thing is set again within a second', async () => {
    const queue = await BatchQueue.open('d', 'dina')
    await queue.add(name('a'), 'z:name')
    vi.setSystemTime(900)
    await queue.add(name('ab'), 'z:name')
    expect([queue.length, queue.first()?.commands]).toEqual([1, name('ab')])
    vi.setSystemTime(1100)
    await queue.add(name('abc'), 'z:name')
    await queue.add(name('x'), 'other:name')
    await queue.add(name('y'), '')
    await queue.add(name('z'), '')
    expect(queue.length).toBe(5)
  })

  it('leave a batch alone that is already under way', async () => {
    const queue = await BatchQueue.open('d', 'dina')
    await queue.add(name('a'), 'z:name')
    queue.first()!.sent = true
    await queue.add(name('ab'), 'z:name')
    expect([queue.length, queue.first()?.commands]).toEqual([2, name('a')])
  })

  it('survive a closed tab with their ids, in order, for their person and design only', async () => {
    const queue = await BatchQueue.open('d', 'dina')
    await queue.add(name('first'), '')
    await queue.add(name('second'), '')
    const [id] = [queue.first()?.batch]
    const again = await BatchQueue.open('d', 'dina')
    expect([again.length, again.first()?.batch, again.first()?.commands]).toEqual([2, id, name('first')])
    await again.shift()
    expect((await BatchQueue.open('d', 'dina')).first()?.commands).toEqual(name('second'))
    expect((await BatchQueue.open('d', 'ada')).length).toBe(0)
    expect((await BatchQueue.open('e', 'dina')).length).toBe(0)
  })
})
