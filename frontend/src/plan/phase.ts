import type { ZonePlan } from './types'

interface Showing {
  index: number
  sinceMs: number
  leftMs: number | null
  /** False in the very first round, where the first entry enters with a cut. */
  enters: boolean
}

/** Which item of a zone shows t ms after the scene began: a remainder and a search, nothing else. */
export function showing(zone: ZonePlan, tMs: number): Showing {
  if (zone.cycle_ms === null || zone.cycle_ms === 0) return { index: 0, sinceMs: Math.max(0, tMs), leftMs: null, enters: false }
  let rest = ((tMs % zone.cycle_ms) + zone.cycle_ms) % zone.cycle_ms
  for (const [index, item] of zone.items.entries()) {
    const ms = item.ms ?? 0
    if (rest < ms) return { index, sinceMs: rest, leftMs: ms - rest, enters: index > 0 || tMs >= zone.cycle_ms }
    rest -= ms
  }
  return { index: 0, sinceMs: 0, leftMs: null, enters: false }
}
