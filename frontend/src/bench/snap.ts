import type { SnapLine } from '../api/types'

const SNAP_SCREEN_PX = 8

/**
 * The line that a dragged one snaps to: of those near enough the lowest rank, of equals the nearest. The core gave
 * lines and ranks.
 */
export function snapTo(lines: SnapLine[], at: number, scale: number, ignore: string[] = []): number {
  const near = lines.filter(
    (line) => Math.abs(line.at - at) * scale <= SNAP_SCREEN_PX && !(line.after && ignore.includes(line.after)),
  )
  const best = near.sort((a, b) => a.rank - b.rank || Math.abs(a.at - at) - Math.abs(b.at - at))[0]
  return best?.at ?? at
}
