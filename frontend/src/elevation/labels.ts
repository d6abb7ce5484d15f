/** A box on the drawing, in screen px. */
export interface Box {
  x: number
  y: number
  width: number
  height: number
}

const GAP_PX = 4
const LINE_PX = 32
const FURTHER = [1, 2, 3, 4, 5]
const meet = (a: Box, b: Box): boolean =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height

/**
 * Where names stand so that they cover neither each other nor what hangs there: under their surface, else above it,
 * else lines further down; where nothing is free, under it all the same. What would run out of the drawing on its right
 * ends there.
 *
 * @param right where the drawing ends, in screen px
 */
export function placeLabels(faces: Box[], widths: number[], right = Infinity): Box[] {
  const placed: Box[] = []
  faces.forEach((face, index) => {
    const width = widths[index] ?? 0
    const at = (y: number): Box => ({ x: Math.min(face.x, right - width), y, width, height: LINE_PX })
    const below = face.y + face.height + GAP_PX
    const tries = [below, face.y - LINE_PX - GAP_PX, ...FURTHER.map((lines) => below + lines * LINE_PX)].map(at)
    placed.push(tries.find((box) => ![...placed, ...faces].some((other) => meet(box, other))) ?? tries[0]!)
  })
  return placed
}
