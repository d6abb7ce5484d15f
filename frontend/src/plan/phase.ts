import type { RoundPlan, ZonePlan } from './types'

interface Showing {
  index: number
  sinceMs: number
  leftMs: number | null
  /** False in the very first round, where the first entry enters with a cut. */
  enters: boolean
}

const remainder = (tMs: number, cycleMs: number): number => ((tMs % cycleMs) + cycleMs) % cycleMs

/**
 * Which of some pieces shows t ms after they began: a remainder and a search, nothing else. A piece without a length
 * holds for ever.
 */
function search(lengths: (number | null)[], cycleMs: number | null, tMs: number): Showing {
  let rest = cycleMs === null || cycleMs === 0 ? Math.max(0, tMs) : remainder(tMs, cycleMs)
  for (const [index, ms] of lengths.entries()) {
    if (ms === null || rest < ms)
      return {
        index,
        sinceMs: rest,
        leftMs: ms === null ? null : ms - rest,
        enters: index > 0 || (cycleMs !== null && tMs >= cycleMs),
      }
    rest -= ms
  }
  return { index: 0, sinceMs: 0, leftMs: null, enters: false }
}

/** Which item of a zone shows t ms after the zone began. */
export function showing(zone: Pick<ZonePlan, 'cycle_ms' | 'items'>, tMs: number): Showing {
  if (zone.cycle_ms === null || zone.cycle_ms === 0)
    return { index: 0, sinceMs: Math.max(0, tMs), leftMs: null, enters: false }
  return search(
    zone.items.map((item) => item.ms ?? 0),
    zone.cycle_ms,
    tMs,
  )
}

/** Which scene of a round shows t ms after the showing began. */
export function sceneAt(round: RoundPlan, tMs: number): Showing {
  return search(
    round.scenes.map((scene) => scene.ms),
    round.cycle_ms,
    tMs,
  )
}

/** The civil midnight at or before an instant, in ms; the first known one before all of them. */
export function midnightBefore(days: number[], nowMs: number): number {
  return days.findLast((day) => day <= nowMs) ?? days[0] ?? 0
}
