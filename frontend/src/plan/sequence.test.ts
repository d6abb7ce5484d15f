import { describe, expect, it } from 'vitest'
import cases from '../../../tests/cases/steps.json'
import { inStep, showing, type Showing } from './phase'
import { entryAtStep, sequenceOf } from './sequence'
import type { ZonePlan } from './types'

type Timed = Pick<ZonePlan, 'cycle_ms' | 'items' | 'after' | 'follows'>
const zone = (ms: number[], more: object = {}): Timed =>
  ({ items: ms.map((one, place) => ({ ms: one, entry: `e${place}` })), cycle_ms: 1, ...more }) as unknown as Timed

describe('lists with entries between the others', () => {
  it('come as stepping finds them', () => {
    for (const { ms, between, after, count, at } of cases.lists) {
      const places = ms.map((_, place) => place)
      const sequence = sequenceOf(ms, places, between, after)
      expect(sequence.count).toBe(count)
      for (const [t, index, sinceMs, leftMs, step] of at as [number, number, number, number, number][])
        expect([{ ...sequence.at(t), index: sequence.place(step) }]).toEqual([{ step, sinceMs, leftMs, index }])
    }
  })
  it('enter after the one that stood before, wherever that lies', () => {
    const list = zone([4, 4, 2], { after: 2, cycle_ms: 10 })
    ;(list.items[2] as { between?: true }).between = true
    const at = (t: number): unknown[] => {
      const now = showing(list, t)
      return [now.index, now.previous, now.previousMs, now.next]
    }
    expect(at(0)).toEqual([0, null, 0, 1])
    expect(at(8)).toEqual([2, 1, 4, 0])
    expect(at(10)).toEqual([0, 2, 2, 1])
  })
})

describe('a zone in step', () => {
  it('shows what stepping finds', () => {
    for (const { leader, own, how, shows } of cases.steps)
      shows.forEach((wanted, step) => expect(entryAtStep(how as 'wrap', step, own, leader)).toBe(wanted))
  })
  it('begins its entry with the step of its leader, and enters after its own one of the step before', () => {
    const lead = (t: number): Showing => showing(zone([5, 3], { cycle_ms: 8 }), t)
    const at = (unequal: string, t: number): unknown => {
      const now = inStep(zone([100, 100, 100], { follows: { zone: 'b', unequal } }), undefined, lead(t), t)
      return now && [now.index, now.sinceMs, now.leftMs, now.previous, now.previousMs]
    }
    expect(at('wrap', 0)).toEqual([0, 0, 5, null, 0])
    expect(at('wrap', 6)).toEqual([1, 1, 2, 0, 5])
    expect(at('wrap', 9)).toEqual([2, 1, 4, 1, 3])
    expect(at('wrap', 13)).toEqual([0, 0, 3, 2, 5])
    expect(at('hold', 9)).toEqual([0, 1, 4, 1, 3])
  })
  it('shows nothing where its leader does, or where no entry of it stands at the step', () => {
    const one = zone([100], { follows: { zone: 'b', unequal: 'clear' } })
    expect(inStep(one, undefined, null, 0)).toBeNull()
    expect(inStep(one, undefined, showing(zone([5, 3], { cycle_ms: 8 }), 6), 6)).toBeNull()
  })
})
