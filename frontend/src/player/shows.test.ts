import { describe, expect, it } from 'vitest'
import cases from '../../../tests/cases/programme.json'
import type { DatedPlan, Dates, ScenePlan, ZonePlan } from '../plan/types'
import { sharing } from '../plan/sharing'
import { whatShows } from './shows'
import type { Held, PlanRef } from './store'

const ref = (name: string): PlanRef => ({ release: 1, number: 1, name, sha256: name, base: `/${name}/` })
const held = (idle: PlanRef | null): Held => ({
  number: 1,
  sha256: '',
  intervals: cases.intervals.map((one) => ({ ...one, plan: ref(one.plan) })),
  idle,
  plans: {},
})

// Held to the core's by the same cases.
describe('what shows', () => {
  it.each(cases.at as [number, string, number][])('at %i ms is %s', (at, plan, start) => {
    const shows = whatShows(held(ref('idle')), at)
    expect([shows?.plan.name, shows?.start_ms]).toEqual([plan, start])
  })
  it.each(['act', 'unsure'] as const)('is the standby where it is wanted: %s', (why) => {
    const shows = whatShows(held(ref('idle')), 150, why)
    expect([shows?.plan.name, shows?.start_ms, shows?.why]).toEqual(['idle', 0, why])
    expect(whatShows(held(null), 150, why)).toBeNull()
  })
  it('is nothing without a programme, and where none holds without an idle card', () => {
    expect([whatShows(null, 150), whatShows(held(null), 250), whatShows({ ...held(null), intervals: [] }, 1)]).toEqual([
      null,
      null,
      null,
    ])
  })
})

describe('from plan to plan', () => {
  const zone = (id: string, text: string): ZonePlan => ({ id, name: text }) as unknown as ZonePlan
  const plan = (zones: ZonePlan[], colour: string): DatedPlan<Dates> =>
    ({
      scenes: { s: { ground: { kind: 'colour', colour }, zones } as unknown as ScenePlan },
    }) as unknown as DatedPlan<Dates>
  it('hands on what is the same as the very object, and nothing else', () => {
    const before = plan([zone('a', 'stays'), zone('b', 'was')], '#000000')
    const next = plan([zone('a', 'stays'), zone('b', 'is'), zone('c', 'new')], '#000000')
    const [was, shared] = [before.scenes['s'], sharing(next, before).scenes['s']]
    expect(shared?.zones[0]).toBe(was?.zones[0])
    expect(shared?.ground).toBe(was?.ground)
    expect(shared?.zones.map((one) => one.name)).toEqual(['stays', 'is', 'new'])
  })
})
