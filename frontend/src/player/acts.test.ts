import { describe, expect, it } from 'vitest'
import { Acts, type Act } from './acts'

const act = (id: string, from_ms: number, until_ms: number): Act => ({
  id,
  kind: 'standby',
  from_ms,
  until_ms,
  players: ['gate-1'],
})

describe('acts', () => {
  it('are in force on arrival and end by the clock, or after their length where no clock is sure', () => {
    let passed = 0
    const acts = new Acts('gate-1', () => passed, null)
    acts.hear({ number: 5, list: [act('a', 10_000, 40_000)] })
    // An hour slow, and not heard of the server yet.
    expect(acts.now('standby', 1000, false)?.id).toBe('a')
    passed = 29_999
    expect(acts.now('standby', 31_000, false)?.id).toBe('a')
    passed = 30_000
    expect(acts.now('standby', 31_000, false)).toBeNull()
    expect(acts.now('standby', 39_999, true)?.id).toBe('a')
    expect(acts.now('standby', 40_000, true)).toBeNull()
  })

  it('are of this player, the first first, and never of a lower number', () => {
    const acts = new Acts('gate-2', () => 0, null)
    acts.hear({
      number: 5,
      list: [act('a', 0, 9), { ...act('b', 0, 9), players: ['gate-2'] }, { ...act('c', 0, 9), players: ['gate-2'] }],
    })
    expect(acts.now('standby', 1, true)?.id).toBe('b')
    expect(acts.now('identify', 1, true)).toBeNull()
    expect(acts.hear({ number: 4, list: [] })).toBe(false)
    expect(acts.now('standby', 1, true)?.id).toBe('b')
    expect(acts.hear({ number: 5, list: [] })).toBe(true)
    expect(acts.now('standby', 1, true)).toBeNull()
  })

  it('that were kept hold by the clock alone', () => {
    const acts = new Acts('gate-1', () => 0, { number: 5, list: [act('a', 10, 20)] })
    expect([9, 10, 19, 20].map((ms) => acts.now('standby', ms, false)?.id ?? null)).toEqual([null, 'a', 'a', null])
  })
})
