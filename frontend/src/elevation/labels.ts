/** A box on the drawing, in screen px. */
export interface Box {
  x: number
  y: number
  width: number
  height: number
}

const GAP_PX = 4
const LINE_PX = 32
const meet = (a: Box, b: Box): boolean =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height

/**
 * Where names stand so that they cover neither each other nor what hangs there: under their surface, else above it,
 * else lines further down; where nothing is free, under it all the same.
 */
export function placeLabels(faces: Box[], widths: number[]): Box[] {
  const placed: Box[] = []
  faces.forEach((face, index) => {
    const at = (y: number): Box => ({ x: face.x, y, width: widths[index] ?? 0, height: LINE_PX })
    const below = face.y + face.height + GAP_PX
    const tries = [at(below), at(face.y - LINE_PX - GAP_PX), at(below + LINE_PX), at(below + 2 * LINE_PX)]
    placed.push(tries.find((box) => ![...placed, ...faces].some((other) => meet(box, other))) ?? tries[0]!)
  })
  return placed
}
