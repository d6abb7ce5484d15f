import { lastAt } from './lookup'
import { knownSequence } from './sequence'
import type { ListHours } from './types'

/** Of a list whose entries lie partly between the others: which, and after how many. */
interface Mixed {
  between: readonly boolean[]
  after: number
}
const UNMIXED: Mixed = { between: [], after: 1 }

interface Run {
  fromMs: number
  set: number
}

/** A piece of a list with hours, and what stood before it and stands behind it. */
export interface Piece {
  index: number
  sinceMs: number
  leftMs: number
  /** Null: it is the first of its showing. */
  previous: number | null
  next: number
  /** Counted on from where its set began, and how many there are until it begins anew. */
  step: number
  count: number
}

interface Walked {
  beganMs: number
  atMs: number
  run: Run
  before: Run | null
  /** The next edge. */
  edge: number
}
/** From frame to frame a walk goes on where it stood. */
const walks = new WeakMap<ListHours, Walked>()

function beginning(hours: ListHours, beganMs: number): Walked {
  const start = hours.starts.find((one) => one.began_ms === beganMs)
  return start
    ? { beganMs, atMs: beganMs, run: { fromMs: start.from_ms, set: start.set }, before: null, edge: 0 }
    : {
        beganMs,
        atMs: beganMs,
        run: { fromMs: beganMs, set: hours.set[setAt(hours, beganMs)] ?? 0 },
        before: null,
        edge: setAt(hours, beganMs) + 1,
      }
}

/** What began with the list, or at an edge after that: walked as the core does (`core/Time/Edges.php`). */
function runAt(hours: ListHours, ms: number[], beganMs: number, atMs: number, mixed: Mixed): Walked {
  const walked = walks.get(hours)
  let { run, before, edge } = walked?.beganMs === beganMs && walked.atMs <= atMs ? walked : beginning(hours, beganMs)
  for (let from = hours.from_ms[edge]; from !== undefined && from <= atMs; from = hours.from_ms[edge]) {
    const piece = pieceAt(hours, hours.sets[run.set] ?? [], ms, run.fromMs, from, mixed)
    const begins = piece === null || piece.sinceMs === 0 ? from : from + piece.leftMs
    if (begins > atMs) break
    const index = setAt(hours, begins)
    const set = hours.set[index] ?? 0
    if (set !== run.set) {
      before = run
      run = { fromMs: begins, set }
    }
    edge = index + 1
  }
  const now = { beganMs, atMs, run, before, edge }
  walks.set(hours, now)
  return now
}

const setAt = (hours: ListHours, atMs: number): number =>
  Math.max(
    0,
    lastAt(hours.from_ms, atMs, (from) => from),
  )

interface Turn {
  place: number
  sinceMs: number
  leftMs: number
  step: number
  count: number
}
/** What plays of a set that began at an instant, in its order. */
function pieceAt(
  hours: ListHours,
  set: number[],
  ms: number[],
  fromMs: number,
  atMs: number,
  mixed: Mixed,
): Turn | null {
  if (atMs >= fromMs && set.some((place) => mixed.between[place])) {
    const sequence = knownSequence(ms, set, mixed.between, mixed.after)
    const now = sequence.at(atMs - fromMs)
    return now && { ...now, place: sequence.place(now.step), count: sequence.count }
  }
  const cycle = set.reduce((sum, place) => sum + (ms[place] ?? 0), 0)
  if (cycle === 0 || atMs < fromMs) return null
  const pass = Math.floor((atMs - fromMs) / cycle)
  const begins = fromMs + pass * cycle
  let rest = atMs - begins
  const order = hours.orders ? passOrder(hours.orders, set, pass, begins, pass === 0 ? null : begins - cycle) : set
  for (const [index, place] of order.entries()) {
    const own = ms[place] ?? 0
    if (rest < own)
      return { place, sinceMs: rest, leftMs: own - rest, step: pass * set.length + index, count: set.length }
    rest -= own
  }
  return null
}

/** The order of one pass, as the core finds it (`core/Time/Orders.php`). */
function passOrder(
  { from_ms, orders }: NonNullable<ListHours['orders']>,
  set: number[],
  pass: number,
  fromMs: number,
  beforeMs: number | null,
): number[] {
  const sorting = (number: number, at: number): number[] => {
    const day = orders[
      Math.max(
        0,
        lastAt(from_ms, at, (from) => from),
      )
    ] ?? [set]
    return (day[number % day.length] ?? set).filter((place) => set.includes(place))
  }
  const order = sorting(pass, fromMs)
  if ((orders[0]?.length ?? 1) < 2) return order
  if (set.length < 3) return set
  const last = beforeMs === null ? null : sorting(pass - 1, beforeMs).at(-1)
  const [first, second, ...others] = order as [number, number, ...number[]]
  return first === last ? [second, first, ...others] : order
}

/** What shows at an instant of a list with hours that began at another; null: nothing is on. */
export function showingByHours(
  hours: ListHours,
  ms: number[],
  beganMs: number,
  atMs: number,
  mixed: Mixed = UNMIXED,
): Piece | null {
  const { run, before } = runAt(hours, ms, beganMs, atMs, mixed)
  const at = (instant: number, { set, fromMs }: Run = run): Turn | null =>
    pieceAt(hours, hours.sets[set] ?? [], ms, fromMs, instant, mixed)
  const now = at(atMs)
  if (!now) return null
  const begins = atMs - now.sinceMs
  // What was played to its end there; none after a stretch without any.
  const last = begins > run.fromMs ? at(begins - 1) : before && at(run.fromMs - 1, before)
  return {
    index: now.place,
    sinceMs: now.sinceMs,
    leftMs: now.leftMs,
    previous: last?.place ?? null,
    next: at(atMs + now.leftMs)?.place ?? now.place,
    step: now.step,
    count: now.count,
  }
}

/** The places that are on at an instant. */
export const onAt = (hours: ListHours, atMs: number): number[] => hours.sets[hours.set[setAt(hours, atMs)] ?? 0] ?? []

/** When what is on is next another; never where nothing comes. */
export const edgeAfter = (hours: ListHours | undefined, atMs: number): number =>
  hours?.from_ms[lastAt(hours.from_ms, atMs, (from) => from) + 1] ?? Infinity
