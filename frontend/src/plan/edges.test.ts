import { describe, expect, it } from 'vitest'
import cases from '../../../tests/cases/edges.json'
import { showingByHours } from './edges'
import { showingNow } from './phase'
import type { Item, ListHours } from './types'

describe('a list with hours', () => {
  it('shows what the core finds, on the same cases, forwards and back', () => {
    for (const { ms, hours, began_ms, at } of cases.cases)
      for (const [instant, index, since, left] of [...at, ...at.toReversed()]) {
        const piece = showingByHours(hours, ms, began_ms, instant as number)
        expect(piece ? [piece.index, piece.sinceMs, piece.leftMs] : [null, null, null]).toEqual([index, since, left])
      }
  })

  it('enters with its transition after what was played before, with a cut as the first of all', () => {
    // Two of 10 s; from 13 s on a third one alone, which waits for the end of the second.
    const hours: ListHours = { sets: [[0, 1], [2]], from_ms: [0, 13_000], set: [0, 1], starts: [] }
    const zone = { cycle_ms: 24_000, items: [10_000, 10_000, 4000].map((ms) => ({ ms }) as Item) }
    const at = (nowMs: number): unknown[] => {
      const now = showingNow(zone, hours, nowMs, nowMs)
      return [now?.index, now?.previous, now?.enters]
    }
    expect([0, 10_000, 20_000, 24_000].map(at)).toEqual([
      [0, null, false],
      [1, 0, true],
      [2, 1, true],
      [2, null, false],
    ])
  })

  it('goes on as its almanac says of what began before it', () => {
    const hours: ListHours = {
      sets: [[0, 1], [1]],
      from_ms: [100_000],
      set: [0],
      starts: [{ began_ms: 5, from_ms: 97_000, set: 1 }],
    }
    expect(showingByHours(hours, [3000, 5000], 5, 101_999)).toMatchObject({ index: 1, sinceMs: 4999 })
    expect(showingByHours(hours, [3000, 5000], 5, 102_000)).toMatchObject({ index: 0, sinceMs: 0, previous: 1 })
  })
})
