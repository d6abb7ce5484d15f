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
  /** Thousandths; opaque when it is not said. */
  opacity?: number
  locked?: boolean
  hidden?: boolean
  /** Those of one group are chosen and moved together. */
  group?: string
}
export type FloatTraits = { opacity?: number; locked?: boolean; hidden?: boolean; group?: string | null }

/** A part of a glazing as it is sent: a pane, or a split of parts. */
export type GlazingPart = { size?: string } & (
  { pane: string } | { id?: string; split: string; gutter: number; parts: GlazingPart[] }
)
/** A glazing to begin with; panes are called 1, 2 … in its tree, in the order of their rectangles on this canvas. */
export interface Starter {
  /** What it is called; a code for those that come with the app. */
  name: string
  /** Its id, where it is the site's own. */
  own?: string
  suits: boolean
  tree: GlazingPart
  panes: Rect[]
}
