import { describe, expect, it } from 'vitest'
import clocks from '../../../tests/cases/clocks.json'
import counts from '../../../tests/cases/counts.json'
import phases from '../../../tests/cases/phase.json'
import timelines from '../../../tests/cases/timeline.json'
import { clockText, countText, handsAt } from './clock'
import { lastAt } from './lookup'
import { asPlan, type PlanOne } from './older'
import { midnightBefore, sceneAt, showing } from './phase'
import type { ClockToken, CountToken, Item } from './types'

describe('what the player finds by itself', () => {
  it('is what the core finds, on the same cases', () => {
    for (const { ms, t_ms, index, since_ms, left_ms } of phases.cases) {
      const cycle_ms = ms.reduce((sum, one) => sum + one, 0)
      const items = ms.map((one) => ({ ms: one }) as Item)
      const scenes = ms.map((one, i) => ({ scene: `s${i}`, ms: one }))
      for (const now of [showing({ cycle_ms, items }, t_ms), sceneAt({ scenes, cycle_ms }, t_ms)]) {
        expect([now.index, now.sinceMs, now.leftMs]).toEqual([index, since_ms, left_ms])
      }
    }
  })

  it('looks up what changes with time as the core does', () => {
    for (const { from_ms, at_ms, index } of timelines.cases) expect(lastAt(from_ms, at_ms, (from) => from)).toBe(index)
  })

  it('writes clocks as ICU does', () => {
    for (const { tokens, offset_s, now_ms, text } of clocks.cases) {
      expect(clockText(tokens as ClockToken[], [{ from_ms: 0, offset_s }], now_ms)).toBe(text)
    }
  })

  it('counts as divmod does, and not beyond the instant', () => {
    for (const { tokens, at_ms, up, now_ms, text } of counts.cases) {
      expect(countText(tokens as CountToken[], at_ms, up, now_ms)).toBe(text)
    }
  })

  it('turns the hands of a dial to the civil time', () => {
    const summer = [{ from_ms: 0, offset_s: 3600 }]
    expect(handsAt(summer, Date.UTC(2026, 5, 1, 11, 0, 0))).toEqual([0, 0, 0])
    expect(handsAt(summer, Date.UTC(2026, 5, 1, 8, 30, 20))).toEqual([285, 182, 120])
  })

  it('lets a scene without a length stay, and begins days at their midnights', () => {
    const round = {
      scenes: [
        { scene: 'a', ms: 1000 },
        { scene: 'b', ms: null },
      ],
      cycle_ms: null,
    }
    expect([sceneAt(round, 999).index, sceneAt(round, 1000).index, sceneAt(round, 10 ** 12).index]).toEqual([0, 1, 1])
    expect([midnightBefore([100, 200], 150), midnightBefore([100, 200], 200), midnightBefore([100, 200], 50)]).toEqual([
      100, 200, 100,
    ])
  })

  it('plays a plan of version 1 as a round of one scene', () => {
    const old: PlanOne = {
      plan: 1,
      canvas: [1920, 1080],
      scene: 's-rest',
      zones: [
        {
          id: 'z',
          letter: 'A',
          name: '',
          rect: [0, 0, 1920, 1080],
          ratio: { exact: '16:9', name: '16:9' },
          panels: [],
          cycle_ms: null,
          items: [],
        },
      ],
      seams: [],
      panels: [],
      media: [],
      fonts: [],
    }
    const plan = asPlan(old)
    expect([plan.round, plan.scenes['s-rest']?.zones.map((zone) => [zone.id, zone.turn, zone.float])]).toEqual([
      { scenes: [{ scene: 's-rest', ms: null }], cycle_ms: null },
      [['z', 0, false]],
    ])
    expect(asPlan(plan)).toBe(plan)
  })
})
