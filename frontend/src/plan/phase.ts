import { showingByHours } from './edges'
import { lastAt } from './lookup'
import type { ListHours, RoundPlan, ZonePlan } from './types'

interface Showing {
  index: number
  sinceMs: number
  leftMs: number | null
  /** False in the very first round, where the first entry enters with a cut. */
  enters: boolean
  /** Of a list what stood before it, null in the very first round, and what stands behind it. */
  previous: number | null
  next: number | null
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
  const enters = index > 0 || (cycleMs !== null && tMs >= cycleMs)
  const many = pieces.length > 1
  return {
    index: Math.max(0, index),
    sinceMs,
    leftMs: ms === null ? null : ms - sinceMs,
    enters,
    previous: many && enters ? (index + pieces.length - 1) % pieces.length : null,
    next: many ? (index + 1) % pieces.length : null,
  }
}

/** Which item of a zone shows t ms after the zone began. */
export function showing(zone: Pick<ZonePlan, 'cycle_ms' | 'items'>, tMs: number): Showing {
  if (zone.cycle_ms === null || zone.cycle_ms === 0)
    return { index: 0, sinceMs: Math.max(0, tMs), leftMs: null, enters: false, previous: null, next: null }
  return search(zone.items, zone.cycle_ms, tMs)
}

/** The same of a list with hours, at an instant; null: nothing of it is on. */
export function showingAt(
  zone: Pick<ZonePlan, 'items'>,
  hours: ListHours,
  beganMs: number,
  nowMs: number,
): Showing | null {
  const piece = showingByHours(hours, lengthsOf(zone.items), beganMs, nowMs)
  if (!piece) return null
  const another = (place: number | null): number | null => (place === piece.index ? null : place)
  const previous = another(piece.previous)
  return { ...piece, previous, next: another(piece.next), enters: previous !== null }
}

/** Which item of a zone shows, t ms after it began, at an instant: by its hours where it has some. */
export const showingNow = (
  zone: Pick<ZonePlan, 'cycle_ms' | 'items'>,
  hours: ListHours | undefined,
  tMs: number,
  nowMs: number,
): Showing | null => (hours ? showingAt(zone, hours, nowMs - tMs, nowMs) : showing(zone, tMs))

const lengths = new WeakMap<object, number[]>()
function lengthsOf(items: readonly { ms: number | null }[]): number[] {
  const known = lengths.get(items) ?? items.map((item) => item.ms ?? 0)
  lengths.set(items, known)
  return known
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
