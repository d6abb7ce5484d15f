import { lastAt } from '../plan/lookup'
import type { Held, PlanRef } from './store'

/** What a player shows at an instant: a plan, what its round is counted from, and why. */
export interface Shows {
  plan: PlanRef
  start_ms: number
  /** `gap`: the programme holds nothing; `act`: somebody wants its standby; `unsure`: it does not know the time. */
  why: 'programme' | 'gap' | 'act' | 'unsure'
}

/**
 * The one place where it is decided (model §8, §11), for the stage and for the proof: the standby where an act wants
 * it, or where nobody told the time; else what the programme holds at the instant, found by halving, else its standby.
 * Null where there is none.
 */
export function whatShows(held: Held | null, nowMs: number, instead: 'act' | 'unsure' | null = null): Shows | null {
  if (!held) return null
  const standby = (why: Shows['why']): Shows | null => held.idle && { plan: held.idle, start_ms: 0, why }
  if (instead) return standby(instead)
  const one = held.intervals[lastAt(held.intervals, nowMs, (interval) => interval.from_ms)]
  return one && (one.until_ms === null || nowMs < one.until_ms)
    ? { plan: one.plan, start_ms: one.start_ms, why: 'programme' }
    : standby('gap')
}
