import { lastAt } from '../plan/lookup'
import type { Held, PlanRef } from './store'

/** What a player shows at an instant: a plan, and what its round is counted from. */
export interface Shows {
  plan: PlanRef
  start_ms: number
}

/**
 * The one place where it is decided (model §8, §11), for the stage and for the proof: what the programme holds at the
 * instant, found by halving, else its idle card. Null where there is neither.
 */
export function whatShows(held: Held | null, nowMs: number): Shows | null {
  if (!held) return null
  const one = held.intervals[lastAt(held.intervals, nowMs, (interval) => interval.from_ms)]
  if (one && (one.until_ms === null || nowMs < one.until_ms)) return { plan: one.plan, start_ms: one.start_ms }
  return held.idle ? { plan: held.idle, start_ms: 0 } : null
}
