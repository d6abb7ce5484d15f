import type { Rect } from '../plan/types'

/** Floats and starters as the server says them. */
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

/** A part of a glazing as it is sent: a pane, or a split of parts. */
export type GlazingPart = { size?: string } & (
  { pane: string } | { id?: string; split: string; gutter: number; parts: GlazingPart[] }
)
/** A glazing to begin with; panes are called 1, 2 … in its tree, in the order of their rectangles on this canvas. */
export interface Starter {
  name: string
  suits: boolean
  tree: GlazingPart
  panes: Rect[]
}
