/**
 * The places of a list in the order in which they come: as listed, or with one of those that lie between after every so
 * many of the others. As the core finds it (`core/Time/Sequence.php`); held to the same cases.
 */
export interface Sequence {
  /** Steps until it begins anew. */
  count: number
  /** The place that stands at a step, counted on. */
  place: (step: number) => number
  at: (tMs: number) => { step: number; sinceMs: number; leftMs: number } | null
}

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b))
const lcm = (a: number, b: number): number => (a / gcd(a, b)) * b

/** When each of some places begins in one pass, and when that ends. */
function starts(places: readonly number[], ms: readonly number[]): number[] {
  const begins = [0]
  for (const place of places) begins.push((begins.at(-1) ?? 0) + (ms[place] ?? 0))
  return begins
}
/** When so many of them have been shown. */
function begun(begins: number[], many: number): number {
  const length = begins.length - 1
  return Math.floor(many / length) * (begins[length] ?? 0) + (begins[many % length] ?? 0)
}

export function sequenceOf(
  ms: readonly number[],
  places: readonly number[],
  between: readonly boolean[],
  after: number,
): Sequence {
  const firsts = places.filter((place) => !between[place])
  const seconds = firsts.length ? places.filter((place) => between[place]) : []
  const [first, second] = [starts(firsts, ms), starts(seconds, ms)]
  const perLoop = after + 1
  const mixed = seconds.length > 0
  const round = mixed ? lcm(firsts.length, after) : firsts.length
  const inserted = mixed ? round / after : 0
  const rounds = mixed ? lcm(inserted, seconds.length) / inserted : 1
  const count = rounds * (round + inserted)

  const place = (step: number): number => {
    if (!mixed) return firsts[step % firsts.length] ?? 0
    const loop = Math.floor(step / perLoop)
    const at = step % perLoop
    return (at === after ? seconds[loop % seconds.length] : firsts[(loop * after + at) % firsts.length]) ?? 0
  }
  const startMs = (step: number): number => {
    if (!mixed) return begun(first, step)
    const loop = Math.floor(step / perLoop)
    return begun(first, loop * after + (step % perLoop)) + begun(second, loop)
  }
  const cycle = count === 0 ? 0 : startMs(count)

  return {
    count,
    place,
    at: (tMs) => {
      if (cycle === 0) return null
      const rest = tMs % cycle
      let [low, high] = [0, Math.min(rest, count - 1)]
      while (low < high) {
        const middle = Math.floor((low + high + 1) / 2)
        if (startMs(middle) <= rest) low = middle
        else high = middle - 1
      }
      const sinceMs = rest - startMs(low)
      return { step: Math.floor(tMs / cycle) * count + low, sinceMs, leftMs: (ms[place(low)] ?? 0) - sinceMs }
    },
  }
}

/** Worked out once for each list of places, as long as the lengths are the same. */
const known = new WeakMap<readonly number[], { ms: readonly number[]; sequence: Sequence }>()
export function knownSequence(
  ms: readonly number[],
  places: readonly number[],
  between: readonly boolean[],
  after: number,
): Sequence {
  const there = known.get(places)
  if (there?.ms === ms) return there.sequence
  const sequence = sequenceOf(ms, places, between, after)
  known.set(places, { ms, sequence })
  return sequence
}

/** Which of its own entries a follower shows at a step of its leader; null: none (`core/Time/Unequal.php`). */
export function entryAtStep(how: 'wrap' | 'hold' | 'clear', step: number, own: number, leader: number): number | null {
  if (own === 0 || leader === 0) return null
  const at = step % leader
  if (how === 'wrap') return step % own
  if (how === 'hold') return Math.min(at, own - 1)
  return at < own ? at : null
}
