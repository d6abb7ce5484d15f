import { lastAt } from './lookup'
import type { ListHours } from './types'

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
function runAt(hours: ListHours, ms: number[], beganMs: number, atMs: number): Walked {
  const walked = walks.get(hours)
  let { run, before, edge } = walked?.beganMs === beganMs && walked.atMs <= atMs ? walked : beginning(hours, beganMs)
  for (let from = hours.from_ms[edge]; from !== undefined && from <= atMs; from = hours.from_ms[edge]) {
    const piece = pieceAt(hours.sets[run.set] ?? [], ms, from - run.fromMs)
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

function pieceAt(
  set: number[],
  ms: number[],
  tMs: number,
): { turn: number; sinceMs: number; leftMs: number; first: boolean } | null {
  const cycle = set.reduce((sum, place) => sum + (ms[place] ?? 0), 0)
  if (cycle === 0) return null
  let rest = ((tMs % cycle) + cycle) % cycle
  for (const [turn, place] of set.entries()) {
    const own = ms[place] ?? 0
    if (rest < own) return { turn, sinceMs: rest, leftMs: own - rest, first: turn === 0 && tMs < cycle }
    rest -= own
  }
  return null
}

/** What shows at an instant of a list with hours that began at another; null: nothing is on. */
export function showingByHours(hours: ListHours, ms: number[], beganMs: number, atMs: number): Piece | null {
  const { run, before } = runAt(hours, ms, beganMs, atMs)
  const set = hours.sets[run.set] ?? []
  const piece = pieceAt(set, ms, atMs - run.fromMs)
  if (!piece) return null
  const place = (turn: number): number => set[(turn + set.length) % set.length] ?? 0
  return {
    index: place(piece.turn),
    sinceMs: piece.sinceMs,
    leftMs: piece.leftMs,
    previous: piece.first ? before && lastOf(hours, ms, before, run.fromMs) : place(piece.turn - 1),
    next: place(piece.turn + 1),
  }
}

/** The entry that was played to its end there; none after a stretch without any. */
function lastOf(hours: ListHours, ms: number[], before: Run, endMs: number): number | null {
  const set = hours.sets[before.set] ?? []
  const piece = pieceAt(set, ms, endMs - 1 - before.fromMs)
  return piece === null ? null : (set[piece.turn] ?? null)
}

/** When what is on is next another; never where nothing comes. */
export const edgeAfter = (hours: ListHours | undefined, atMs: number): number =>
  hours?.from_ms[lastAt(hours.from_ms, atMs, (from) => from) + 1] ?? Infinity
