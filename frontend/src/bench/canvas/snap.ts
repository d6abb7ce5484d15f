import type { SnapLine } from '../../api/types'

const SNAP_SCREEN_PX = 8

/** Of the lines near enough the one of the lowest rank, of equals the nearest. The core gave lines and ranks. */
export function nearest(lines: SnapLine[], at: number, scale: number, ignore: string[] = []): SnapLine | undefined {
  return lines
    .filter((line) => Math.abs(line.at - at) * scale <= SNAP_SCREEN_PX && !(line.after && ignore.includes(line.after)))
    .sort((a, b) => a.rank - b.rank || Math.abs(a.at - at) - Math.abs(b.at - at))[0]
}

/** Where a dragged line comes to lie. */
export const snapTo = (lines: SnapLine[], at: number, scale: number, ignore: string[] = []): number =>
  nearest(lines, at, scale, ignore)?.at ?? at
