/** So near, in px of the screen, an edge draws what is dragged to it. */
const NEAR_PX = 8
/** From so many px for a second on, tenths are told apart. */
const FINE_PX = 120

/**
 * Where an edge that is dragged comes to lie: at the edge of another lane that is near, else at a whole second of its
 * entry, or a tenth where the rail shows that large.
 *
 * @param fromMs when the entry begins
 * @param pxPerMs of the screen
 */
export function snapped(atMs: number, fromMs: number, edges: number[], pxPerMs: number): number {
  const grid = pxPerMs * 1000 < FINE_PX ? 1000 : 100
  const near = edges
    .filter((edge) => edge > fromMs && Math.abs(edge - atMs) * pxPerMs <= NEAR_PX)
    .sort((one, other) => Math.abs(one - atMs) - Math.abs(other - atMs))[0]
  return near ?? fromMs + Math.max(grid, Math.round((atMs - fromMs) / grid) * grid)
}
