import type { Rect } from '../../plan/types'

/** Where a pointer is, and how far it went, in canvas px. */
export interface Point {
  x: number
  y: number
}
/** Which edges a handle moves: -1 the left or top one, 1 the right or bottom one, 0 none. */
export interface Handle {
  x: -1 | 0 | 1
  y: -1 | 0 | 1
}
export const HANDLES: Handle[] = [
  { x: -1, y: -1 },
  { x: 0, y: -1 },
  { x: 1, y: -1 },
  { x: 1, y: 0 },
  { x: 1, y: 1 },
  { x: 0, y: 1 },
  { x: -1, y: 1 },
  { x: -1, y: 0 },
]

const radians = (centidegrees: number): number => (centidegrees * Math.PI) / 18_000
const centreOf = ([x, y, width, height]: Rect): Point => ({ x: x + width / 2, y: y + height / 2 })
/** A direction on the canvas, turned clockwise. */
export function turned({ x, y }: Point, centidegrees: number): Point {
  const [sin, cos] = [Math.sin(radians(centidegrees)), Math.cos(radians(centidegrees))]
  return { x: x * cos - y * sin, y: x * sin + y * cos }
}

/** The least upright rectangle around a turned one, for what is drawn around it. */
export function boxOf(rect: Rect, turn: number): Rect {
  if (turn === 0) return rect
  const centre = centreOf(rect)
  const corners = [-1, 1].flatMap((x) =>
    [-1, 1].map((y) => turned({ x: (x * rect[2]) / 2, y: (y * rect[3]) / 2 }, turn)),
  )
  const [xs, ys] = [corners.map((corner) => corner.x), corners.map((corner) => corner.y)]
  const [left, top] = [Math.min(...xs), Math.min(...ys)]
  return [centre.x + left, centre.y + top, Math.max(...xs) - left, Math.max(...ys) - top]
}

export const moved = ([x, y, width, height]: Rect, by: Point): Rect => [x + by.x, y + by.y, width, height]

/**
 * Pulls a handle: the opposite point stays where it is on the canvas, also when the float is turned. `ratio` keeps
 * width to height. A side is never below 1 px.
 */
export function pulled(rect: Rect, turn: number, handle: Handle, by: Point, ratio: boolean): Rect {
  const local = turned(by, -turn)
  let width = Math.max(1, rect[2] + handle.x * local.x)
  let height = Math.max(1, rect[3] + handle.y * local.y)
  if (ratio) {
    const factor =
      handle.y === 0 ? width / rect[2] : handle.x === 0 ? height / rect[3] : Math.max(width / rect[2], height / rect[3])
    width = Math.max(1, rect[2] * factor)
    height = Math.max(1, rect[3] * factor)
  }
  const [wide, high] = [Math.round(width), Math.round(height)]
  const shift = turned({ x: (handle.x * (wide - rect[2])) / 2, y: (handle.y * (high - rect[3])) / 2 }, turn)
  const centre = centreOf(rect)
  return [Math.round(centre.x + shift.x - wide / 2), Math.round(centre.y + shift.y - high / 2), wide, high]
}

/** The turn that points a float's upper edge at the pointer, in whole steps unless it is free; -180° to 180°. */
export function turnTowards(rect: Rect, pointer: Point, step: number): number {
  const centre = centreOf(rect)
  const angle = (Math.atan2(pointer.x - centre.x, centre.y - pointer.y) * 18_000) / Math.PI
  return Math.round(angle / step) * step
}

export const meets = (a: Rect, b: Rect): boolean =>
  a[0] < b[0] + b[2] && b[0] < a[0] + a[2] && a[1] < b[1] + b[3] && b[1] < a[1] + a[3]
export const between = (a: Point, b: Point): Rect => [
  Math.min(a.x, b.x),
  Math.min(a.y, b.y),
  Math.abs(a.x - b.x),
  Math.abs(a.y - b.y),
]
