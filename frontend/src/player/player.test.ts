import { describe, expect, it } from 'vitest'
import { clockText } from '../plan/clock'
import { showing } from '../plan/phase'
import type { Item, ZonePlan } from '../plan/types'
import { ranged } from './ranged'
import { SteadyClock } from './steady'

const item = (entry: string, ms: number): Item => ({
  kind: 'colour',
  colour: '#000000',
  entry,
  ms,
  transition: { kind: 'cut', ms: 0 },
})
const zone: ZonePlan = {
  id: 'z',
  letter: 'A',
  panels: [],
  name: '',
  rect: [0, 0, 1, 1],
  turn: 0,
  layer: 0,
  float: false,
  runs_on: false,
  ratio: { exact: '1:1', name: '1:1' },
  cycle_ms: 15_000,
  items: [item('a', 10_000), item('b', 5000)],
}

describe('the search in a plan', () => {
  it('holds an entry up to, not including, its end, in every round and before the start', () => {
    const at = (t: number) => zone.items[showing(zone, t).index]?.entry
    expect([0, 9999, 10_000, 14_999, 15_000, -1].map(at)).toEqual(['a', 'a', 'b', 'b', 'a', 'b'])
  })
  it('lets the first entry of a showing enter with a cut', () => {
    expect([showing(zone, 0).enters, showing(zone, 10_000).enters, showing(zone, 15_000).enters]).toEqual([
      false,
      true,
      true,
    ])
  })
})

describe('the clock', () => {
  // Summer time in London began on 29 March 2026 at 01:00 UTC.
  it('changes its offset at the instant in the table', () => {
    const change = Date.UTC(2026, 2, 29, 1)
    const offsets = [
      { from_ms: 0, offset_s: 0 },
      { from_ms: change, offset_s: 3600 },
    ]
    const tokens = [{ field: 'EEE' }, { text: ' ' }, { field: 'HH' }, { text: ':' }, { field: 'mm' }]
    expect([clockText(tokens, offsets, change - 60_000), clockText(tokens, offsets, change)]).toEqual([
      'Sun 00:59',
      'Sun 02:00',
    ])
  })
})

describe('the steady clock', () => {
  it('slews by at most 5 % and steps only above 2 s', () => {
    let monotonic = 0
    const clock = new SteadyClock(() => monotonic, 1_000_000)
    clock.hear(1_001_000, 0)
    monotonic = 1000
    expect(clock.now()).toBe(1_001_050)
    expect(clock.stepped).toBe(false)
    clock.hear(1_122_000, 1000)
    expect(clock.now()).toBe(1_122_000)
    expect(clock.stepped).toBe(true)
  })
})

describe('a clock that nobody set', () => {
  it('begins no earlier than it was once, and is sure when the server was heard', () => {
    const clock = new SteadyClock(() => 0, 5000, 1_000_000)
    expect([clock.now(), clock.sure]).toEqual([1_000_000, false])
    clock.hear(1_000_500, 0)
    expect(clock.sure).toBe(true)
    expect(new SteadyClock(() => 0, 2_000_000, 1_000_000).now()).toBe(2_000_000)
  })
})

// RFC 9110 §14.1.2: byte ranges.
describe('a range of a whole response', () => {
  it.each([
    ['bytes=0-3', 206, '0123'],
    ['bytes=6-', 206, '6789'],
    ['bytes=-2', 206, '89'],
    ['bytes=20-', 416, ''],
    [null, 200, '0123456789'],
  ])('%s', async (range, status, body) => {
    const answer = await ranged(new Response('0123456789'), range)
    expect([answer.status, await answer.text()]).toEqual([status, body])
  })
})
