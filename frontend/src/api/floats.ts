/** Floats as the server says them. */
export type Anchor = (typeof ANCHORS)[number]
export const ANCHORS = [
  'top-left',
  'top',
  'top-right',
  'left',
  'centre',
  'right',
  'bottom-left',
  'bottom',
  'bottom-right',
] as const
/** Where a float is held, and its place as it was written; turned by centidegrees. */
export interface FloatPlace {
  zone: string
  frame: string
  anchor: Anchor
  offset: [string, string]
  size: [string, string]
  turn: number
}
