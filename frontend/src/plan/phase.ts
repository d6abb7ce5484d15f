import { onAt, showingByHours } from './edges'
import { lastAt } from './lookup'
import { entryAtStep, knownSequence, type Sequence } from './sequence'
import type { ListHours, RoundPlan, ZonePlan } from './types'

export interface Showing {
  index: number
  sinceMs: number
  leftMs: number | null
  /** False in the very first round, where the first entry enters with a cut. */
  enters: boolean
  /** Of a list what stood before it, null in the very first round, for how long, and what stands behind it. */
  previous: number | null
  previousMs: number
  next: number | null
  /** Counted on from pass to pass, and how many there are until it begins anew. */
  step: number
  count: number
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
  const previous = many && enters ? (index + pieces.length - 1) % pieces.length : null
  const passes = cycleMs ? Math.floor(Math.max(0, tMs) / cycleMs) : 0
  return {
    index: Math.max(0, index),
    sinceMs,
    leftMs: ms === null ? null : ms - sinceMs,
    enters,
    previous,
    previousMs: previous === null ? 0 : (pieces[previous]?.ms ?? 0),
    next: many ? (index + 1) % pieces.length : null,
    step: passes * pieces.length + Math.max(0, index),
    count: pieces.length,
  }
}

const alone = (sinceMs: number): Showing => ({
  index: 0,
  sinceMs,
  leftMs: null,
  enters: false,
  previous: null,
  previousMs: 0,
  next: null,
  step: 0,
  count: 1,
})

type Timed = Pick<ZonePlan, 'cycle_ms' | 'items' | 'after' | 'follows'>
const another = (place: number, index: number): number | null => (place === index ? null : place)

/** Which item of a zone shows t ms after the zone began. */
export function showing(zone: Timed, tMs: number): Showing {
  if (zone.cycle_ms === null || zone.cycle_ms === 0) return alone(Math.max(0, tMs))
  if (zone.after === undefined) return search(zone.items, zone.cycle_ms, tMs)
  const sequence = mixOf(zone)
  const now = sequence.at(Math.max(0, tMs))
  if (!now) return alone(Math.max(0, tMs))
  return stepped(zone, sequence, now.step, now)
}

/** A step of a list that some lie between. */
function stepped(
  zone: Timed,
  sequence: Sequence,
  step: number,
  { sinceMs, leftMs }: { sinceMs: number; leftMs: number },
): Showing {
  const index = sequence.place(step)
  const previous = step > 0 ? another(sequence.place(step - 1), index) : null
  return {
    index,
    sinceMs,
    leftMs,
    enters: previous !== null,
    previous,
    previousMs: previous === null ? 0 : (zone.items[previous]?.ms ?? 0),
    next: another(sequence.place(step + 1), index),
    step,
    count: sequence.count,
  }
}

/** The order of those that are on, all where nothing is said. */
const mixOf = (zone: Timed, places = placesOf(zone.items)): Sequence =>
  knownSequence(lengthsOf(zone.items), places, betweenOf(zone.items), zone.after ?? 1)

const places = new WeakMap<object, number[]>()
function placesOf(items: readonly object[]): number[] {
  const all = places.get(items) ?? items.map((_, place) => place)
  places.set(items, all)
  return all
}

const betweens = new WeakMap<object, boolean[]>()
function betweenOf(items: readonly { between?: boolean }[]): boolean[] {
  const known = betweens.get(items) ?? items.map((item) => item.between === true)
  betweens.set(items, known)
  return known
}

/** The same of a list with hours, at an instant; null: nothing of it is on. */
function showingAt(zone: Timed, hours: ListHours, beganMs: number, nowMs: number): Showing | null {
  const mixed = zone.after === undefined ? undefined : { between: betweenOf(zone.items), after: zone.after }
  const piece = showingByHours(hours, lengthsOf(zone.items), beganMs, nowMs, mixed)
  if (!piece) return null
  const previous = piece.previous === null ? null : another(piece.previous, piece.index)
  return {
    ...piece,
    previous,
    previousMs: previous === null ? 0 : (zone.items[previous]?.ms ?? 0),
    next: another(piece.next, piece.index),
    enters: previous !== null,
  }
}

/** Which item of a zone shows, t ms after it began, at an instant: by its hours where it has some. */
export const showingNow = (zone: Timed, hours: ListHours | undefined, tMs: number, nowMs: number): Showing | null =>
  hours ? showingAt(zone, hours, nowMs - tMs, nowMs) : showing(zone, tMs)

/**
 * Which item of a zone shows in step with the one that leads it: its entry begins with the step. By the hours that hold
 * where the step begins. Null: nothing, as where nothing of its leader is on.
 */
export function inStep(zone: Timed, hours: ListHours | undefined, lead: Showing | null, nowMs: number): Showing | null {
  if (!lead || !zone.follows) return null
  if (zone.items[0]?.entry === null) return { ...lead, index: 0, previous: null, next: null, enters: false }
  const sequence = mixOf(zone, hours && onAt(hours, nowMs - lead.sinceMs))
  const at = (step: number): number | null => {
    const own = entryAtStep(zone.follows!.unequal, step, sequence.count, lead.count)
    return own === null ? null : sequence.place(own)
  }
  const index = at(lead.step)
  if (index === null) return null
  const before = lead.step > 0 && lead.previousMs > 0 ? at(lead.step - 1) : null
  const next = at(lead.step + 1)
  const previous = before === null ? null : another(before, index)
  return {
    ...lead,
    index,
    previous,
    next: next === null ? null : another(next, index),
    enters: previous !== null,
  }
}

/** The plan of a zone, when it began, and its days and hours. */
export interface InTime {
  plan: ZonePlan
  tMs: number
  hours: ListHours | undefined
}
/** Which item of a zone shows, alone or in step with the one that leads it. */
export function showingOf(zone: InTime, leader: InTime | undefined, nowMs: number): Showing | null {
  if (!zone.plan.follows || !leader) return showingNow(zone.plan, zone.hours, zone.tMs, nowMs)
  return inStep(zone.plan, zone.hours, showingNow(leader.plan, leader.hours, leader.tMs, nowMs), nowMs)
}

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
