/** The plan as the core wrote it: the only thing that is ever drawn. px in thousandths where a key ends in _mpx. */
export type Rect = [x: number, y: number, width: number, height: number]
export interface Ratio {
  exact: string
  name: string | null
}
export interface TextLook {
  font: string
  weight: number
  size: number
  line_mpx: number
  colour: string
  ground: string
}
export interface TextLine {
  text: string
  x_mpx: number
  y_mpx: number
  width_mpx: number
}
export interface Transition {
  kind: 'cut' | 'fade'
  ms: number
}
export interface Timing {
  entry: string | null
  ms: number | null
  transition: Transition
}
export type ClockToken = { field: string } | { text: string }
export interface Offset {
  from_ms: number
  offset_s: number
}
interface Picture {
  sha256: string
  drawn_mpx: Rect
  ground: string
  cut_ppm: number
  scale_ppm: number
}
export interface Drawings {
  standby: object
  colour: { colour: string }
  picture: Picture
  video: Picture & { content_ms: number; sound: boolean }
  text: { lines: TextLine[] } & TextLook
  clock: { tokens: ClockToken[]; offsets: Offset[]; box_mpx: Rect; align: 'left' | 'centre' | 'right' } & TextLook
}
export type DrawingKind = keyof Drawings
export type Drawing = { [Kind in DrawingKind]: { kind: Kind } & Drawings[Kind] }[DrawingKind]
export type Item = Timing & Drawing

export interface ZonePlan {
  id: string
  letter: string
  name: string
  rect: Rect
  /** Centidegrees clockwise about the centre. */
  turn: number
  layer: number
  float: boolean
  /** Its time counts from the site's midnight, not from its scene. */
  runs_on: boolean
  ratio: Ratio
  /** Letters of the panels it falls on; empty on a single panel. */
  panels: string[]
  cycle_ms: number | null
  items: Item[]
}

export interface ScenePlan {
  name: string
  /** null: until something else comes. */
  ms: number | null
  transition: Transition
  /** The part of the canvas that it covers. */
  place: Rect
  ground: Drawing
  /** Back to front. */
  zones: ZonePlan[]
}

export interface RoundPlan {
  scenes: { scene: string; ms: number | null }[]
  cycle_ms: number | null
}

/** Canvas to raster, `[a, b, c, d, e, f]` as in CSS, in decimal strings. */
export interface OutputPlan {
  player: string
  number: number
  px: [number, number]
  slices: { panel: string; raster: Rect; matrix: string[] }[]
}

export interface Plan {
  plan: 2
  canvas: [number, number]
  from_ms: number
  until_ms: number
  /** Instants at which the site's days begin. */
  days: number[]
  scenes: Record<string, ScenePlan>
  round: RoundPlan
  outputs: OutputPlan[]
  seams: Rect[]
  panels: { id: string; number: number; rect: Rect; turn: number }[]
  /** SHA-256 of the data sheet it wants. */
  sheet: string
  media: { sha256: string; mime: string; bytes: number }[]
  fonts: { family: string; weight: number; file: string }[]
}
