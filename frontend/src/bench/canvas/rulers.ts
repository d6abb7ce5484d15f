const LEAST_LONG_PX = 60
const SHORT_PER_LONG = 10

interface Tick {
  at: number
  long: boolean
}

/** Marks of a ruler: long ones at 1, 2 or 5 times a power of ten, as near to each other as they can be told apart. */
export function ticksAlong(length: number, scale: number): Tick[] {
  const least = LEAST_LONG_PX / scale
  const power = 10 ** Math.floor(Math.log10(least))
  const long = Math.max(
    SHORT_PER_LONG,
    [1, 2, 5, 10].map((by) => by * power).find((step) => step >= least) ?? 10 * power,
  )
  const short = Math.round(long / SHORT_PER_LONG)
  return Array.from({ length: Math.floor(length / short) + 1 }, (_, index) => ({
    at: index * short,
    long: index % SHORT_PER_LONG === 0,
  }))
}
