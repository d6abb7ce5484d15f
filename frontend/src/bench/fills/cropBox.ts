import type { Rect } from '../../plan/types'

/** A crop on its drawing, in ppm of a picture's sides. `ratio`: width to height in these, null: free. */
const WHOLE = 1_000_000
const LEAST = 10_000
const within = (at: number, least: number, most: number): number => Math.min(most, Math.max(least, at))

/** The largest part about the middle that has the ratio. */
export function largest(ratio: number | null): Rect {
  const wide = ratio === null || ratio >= 1
  const [width, height] =
    ratio === null ? [WHOLE, WHOLE] : wide ? [WHOLE, Math.round(WHOLE / ratio)] : [Math.round(WHOLE * ratio), WHOLE]
  return [Math.round((WHOLE - width) / 2), Math.round((WHOLE - height) / 2), width, height]
}

export function moved([x, y, width, height]: Rect, byX: number, byY: number): Rect {
  return [within(Math.round(x + byX), 0, WHOLE - width), within(Math.round(y + byY), 0, WHOLE - height), width, height]
}

/** Drawn by one corner, held at the opposite one; `corner` says which: -1 left or top, 1 right or bottom. */
export function sized(
  [x, y, width, height]: Rect,
  corner: [number, number],
  byX: number,
  byY: number,
  ratio: number | null,
): Rect {
  const held = [corner[0] < 0 ? x + width : x, corner[1] < 0 ? y + height : y] as const
  const room = [corner[0] < 0 ? held[0] : WHOLE - held[0], corner[1] < 0 ? held[1] : WHOLE - held[1]] as const
  let wide = within(width + corner[0] * byX, LEAST, room[0])
  let high = within(height + corner[1] * byY, LEAST, room[1])
  if (ratio !== null) {
    wide = Math.min(Math.max(wide, high * ratio), room[0], room[1] * ratio)
    high = wide / ratio
  }
  const [w, h] = [Math.round(wide), Math.round(high)]
  return [corner[0] < 0 ? held[0] - w : held[0], corner[1] < 0 ? held[1] - h : held[1], w, h]
}
