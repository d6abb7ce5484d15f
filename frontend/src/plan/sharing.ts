import type { Shown } from './stage'
import type { Drawing, ScenePlan, ZonePlan } from './types'

const same = <T extends Drawing | ZonePlan>(next: T, before: T | undefined): T =>
  before && JSON.stringify(before) === JSON.stringify(next) ? before : next

function scene(next: ScenePlan, before: ScenePlan | undefined): ScenePlan {
  if (!before) return next
  const known = new Map(before.zones.map((zone) => [zone.id, zone]))
  return {
    ...next,
    ground: same(next.ground, before.ground),
    zones: next.zones.map((zone) => same(zone, known.get(zone.id))),
  }
}

/** A plan with the very zones and grounds of the one before where nothing is different: the stage lets those be. */
export function sharing<T extends Shown>(next: T, before: Shown | null): T {
  if (!before) return next
  return {
    ...next,
    scenes: Object.fromEntries(Object.entries(next.scenes).map(([id, plan]) => [id, scene(plan, before.scenes[id])])),
  }
}
