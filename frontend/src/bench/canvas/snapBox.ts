import type { BenchView, SnapLine } from '../../api/types'
import type { Rect } from '../../plan/types'
import { nearest } from './snap'

/** A line that something snapped to, and how far it stands from the canvas' edge. */
export interface Guide {
  axis: 'x' | 'y'
  at: number
  kind: string
}

/**
 * How far a box is to be moved so that its start, middle or end lies on a snap line, the one of the lowest rank, of
 * equals the nearest; and the lines it then lies on. Lines of what is moved are left out.
 */
export function snapBox(
  snaps: BenchView['snaps'],
  box: Rect,
  scale: number,
  ignore: string[],
): { by: [number, number]; guides: Guide[] } {
  const by: [number, number] = [0, 0]
  const guides: Guide[] = []
  for (const [index, axis] of (['x', 'y'] as const).entries()) {
    const start = box[index as 0 | 1]
    const length = box[(index + 2) as 2 | 3]
    const found = [start, start + length / 2, start + length].flatMap((at): { line: SnapLine; by: number }[] => {
      const line = nearest(snaps[axis], at, scale, ignore)
      return line ? [{ line, by: Math.round(line.at - at) }] : []
    })
    const best = found.sort((a, b) => a.line.rank - b.line.rank || Math.abs(a.by) - Math.abs(b.by))[0]
    if (!best) continue
    by[index] = best.by
    guides.push({ axis, at: best.line.at, kind: best.line.kind })
  }
  return { by, guides }
}
