import { lastAt } from './lookup'
import type { RoundPlan, ZonePlan } from './types'

interface Showing {
  index: number
  sinceMs: number
  leftMs: number | null
  /** False in the very first round, where the first entry enters with a cut. */
  enters: boolean
}

const remainder = (tMs: number, cycleMs: number): number => ((tMs % cycleMs) + cycleMs) % cycleMs

/** Where pieces begin, from the beginning, up to the one that never ends; worked out once for each list of them. */
const begins = new WeakMap<object, number[]>()
function startsOf(pieces: readonly { ms: number | null }[]): number[] {
  const known = begins.get(pieces)
  if (known) return known
  const starts: number[] = []
  let end = 0
  for (const { ms } of pieces) {
    starts.push(end)
    if (ms === null) break
    end += ms
  }
  begins.set(pieces, starts)
  return starts
}

/**
 * Which of some pieces shows t ms after they began: a remainder and a lookup, nothing else. A piece without a length
 * holds for ever.
 */
function search(pieces: readonly { ms: number | null }[], cycleMs: number | null, tMs: number): Showing {
  const rest = cycleMs === null || cycleMs === 0 ? Math.max(0, tMs) : remainder(tMs, cycleMs)
  const starts = startsOf(pieces)
  const index = lastAt(starts, rest, (start) => start)
  const ms = pieces[index]?.ms ?? null
  const sinceMs = rest - (starts[index] ?? rest)
  return {
    index: Math.max(0, index),
    sinceMs,
    leftMs: ms === null ? null : ms - sinceMs,
    enters: index > 0 || (cycleMs !== null && tMs >= cycleMs),
  }
}

/** Which item of a zone shows t ms after the zone began. */
export function showing(zone: Pick<ZonePlan, 'cycle_ms' | 'items'>, tMs: number): Showing {
  if (zone.cycle_ms === null || zone.cycle_ms === 0)
    return { index: 0, sinceMs: Math.max(0, tMs), leftMs: null, enters: false }
  return search(zone.items, zone.cycle_ms, tMs)
}

/** Which scene of a round shows t ms after the showing began. */
export function sceneAt(round: RoundPlan, tMs: number): Showing {
  return search(round.scenes, round.cycle_ms, tMs)
}

/** The civil midnight at or before an instant, in ms; the first known one before all of them. */
export function midnightBefore(days: number[], nowMs: number): number {
  return (
    days[
      Math.max(
        0,
        lastAt(days, nowMs, (day) => day),
      )
    ] ?? 0
  )
}
