import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Orders, Wanted } from './fetching'
import type { Held, Kept } from './store'
import { Taking } from './taking'

const coming = new Map<string, (held: Held) => void>()
const asked: string[] = []
vi.mock('./fetching', async (original) => ({
  ...(await original<object>()),
  takeWhole: (order: Wanted) => {
    asked.push(order.sha256)
    return new Promise<Held>((resolve) => coming.set(order.sha256, resolve))
  },
  takeBeside: (_: Orders, held: unknown) => Promise.resolve(held),
  forgetOthers: () => Promise.resolve(),
}))
vi.mock('./store', async (original) => ({ ...(await original<object>()), saveKept: () => Promise.resolve() }))

const orders = (number: number, sha256: string): Orders => ({
  number,
  programme: { number, sha256, url: `/${sha256}` },
})
const held = (sha256: string): Held => ({ number: 1, sha256, intervals: [], idle: null, plans: {} })
const settled = () => new Promise((resolve) => setTimeout(resolve, 0))

describe('what orders name', () => {
  let kept: Kept
  let took: string[]
  let taking: Taking
  beforeEach(() => {
    coming.clear()
    asked.length = 0
    took = []
    kept = { now: null, next: null, ordersNumber: 0, beside: { almanac: null, sheets: {} } } as unknown as Kept
    taking = new Taking('gate-1', kept, (programme) => programme && took.push(programme.sha256))
  })

  it('is taken while the next orders are heard; the later programme is kept, whichever comes first', async () => {
    taking.orders(orders(1, 'film of 2 GB'))
    taking.orders(orders(1, 'film of 2 GB'))
    taking.orders(orders(2, 'words'))
    expect(asked).toEqual(['film of 2 GB', 'words'])
    coming.get('words')!(held('words'))
    await settled()
    coming.get('film of 2 GB')!(held('film of 2 GB'))
    await settled()
    expect([kept.next?.sha256, took]).toEqual(['words', ['words']])
  })

  it('is not taken by a lower number, nor twice', async () => {
    taking.orders(orders(5, 'a'))
    coming.get('a')!(held('a'))
    await settled()
    taking.orders(orders(4, 'older'))
    taking.orders(orders(6, 'a'))
    expect([asked, kept.ordersNumber]).toEqual([['a'], 6])
    taking.forget()
    taking.orders(orders(1, 'of another player'))
    expect(asked).toEqual(['a', 'of another player'])
  })
})
