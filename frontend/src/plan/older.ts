import type { Plan, Rect, ZonePlan } from './types'

/** A plan of version 1, as releases made before there were scenes hold it: one scene, its zones at the top. */
export interface PlanOne {
  plan: 1
  canvas: [number, number]
  scene: string
  zones: Omit<ZonePlan, 'turn' | 'layer' | 'float' | 'runs_on'>[]
  outputs?: Plan['outputs']
  seams: Rect[]
  panels: Plan['panels']
  media: Plan['media']
  fonts: Plan['fonts']
}

/** Any plan that a player may hold, as one of this version. */
export function asPlan(plan: Plan | PlanOne): Plan {
  if (plan.plan === 2) return plan
  const zones = plan.zones.map((zone) => ({ ...zone, turn: 0, layer: 0, float: false, runs_on: false }))
  return {
    plan: 2,
    canvas: plan.canvas,
    scenes: {
      [plan.scene]: {
        name: '',
        ms: null,
        transition: { kind: 'cut', ms: 0 },
        place: [0, 0, ...plan.canvas],
        ground: { kind: 'colour', colour: '#0C1216' },
        zones,
      },
    },
    round: { scenes: [{ scene: plan.scene, ms: null }], cycle_ms: null },
    outputs: plan.outputs ?? [],
    seams: plan.seams,
    panels: plan.panels,
    sheet: '',
    media: plan.media,
    fonts: plan.fonts,
  }
}
