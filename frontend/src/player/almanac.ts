import type { Offset, Plan } from '../plan/types'

/** What depends on dates, over the days ahead: the site's midnights, and the changes of its clocks. */
export interface Almanac {
  until_ms: number
  days: number[]
  offsets: Offset[]
}

/** Behind its end its last offset goes on, and nobody knows of a change of the clocks: that is said. */
export const isOver = (almanac: Almanac, nowMs: number): boolean => nowMs >= almanac.until_ms

/**
 * A plan as it is to be drawn by an almanac. A plan that was sealed long ago knows neither the midnights nor the clocks
 * of today; without an almanac it goes by its own.
 */
export function dated(plan: Plan, almanac: Almanac | null): Plan {
  if (!almanac) return plan
  const renewed = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(renewed)
    if (typeof value !== 'object' || value === null) return value
    return Object.fromEntries(
      Object.entries(value).map(([key, one]) => [key, key === 'offsets' ? almanac.offsets : renewed(one)]),
    )
  }
  return { ...plan, days: almanac.days, scenes: renewed(plan.scenes) as Plan['scenes'] }
}
