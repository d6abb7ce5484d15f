/**
 * Of rising instants, the index of the last one at or before an instant, found by halving; −1 before the first. The
 * browser's one lookup in anything that changes with time (model §11), held to the core's `Timeline` by shared cases.
 */
export function lastAt<T>(steps: readonly T[], atMs: number, from: (step: T) => number): number {
  let [low, high] = [0, steps.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (from(steps[middle]!) <= atMs) low = middle + 1
    else high = middle
  }
  return low - 1
}
