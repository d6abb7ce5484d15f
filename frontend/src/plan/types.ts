/** The plan as the core wrote it: the only thing that is ever drawn. px in thousandths where a key ends in _mpx. */
export type Rect = [x: number, y: number, width: number, height: number]
export interface Ratio { exact: string; name: string | null }
export interface TextLook { font: string; weight: number; size: number; line_mpx: number; colour: string; ground: string }
export interface TextLine { text: string; x_mpx: number; y_mpx: number; width_mpx: number }
export interface Timing { entry: string | null; ms: number | null; transition: { kind: 'cut' | 'fade'; ms: number } }
export type Drawing =
  | { kind: 'standby' }
  | { kind: 'colour'; colour: string }
  | { kind: 'picture'; sha256: string; drawn_mpx: Rect; ground: string; cut_ppm: number; scale_ppm: number }
  | { kind: 'video'; sha256: string; drawn_mpx: Rect; ground: string; cut_ppm: number; scale_ppm: number; content_ms: number; sound: boolean }
  | ({ kind: 'text'; lines: TextLine[] } & TextLook)
  | ({ kind: 'clock'; tokens: ClockToken[]; offsets: Offset[]; box_mpx: Rect; align: 'left' | 'centre' | 'right' } & TextLook)
export type ClockToken = { field: string } | { text: string }
export interface Offset { from_ms: number; offset_s: number }
export type Item = Timing & Drawing

export interface ZonePlan {
  id: string
  letter: string
  name: string
  rect: Rect
  ratio: Ratio
  /** Letters of the panels it falls on; empty on a single panel. */
  panels: string[]
  cycle_ms: number | null
  items: Item[]
}

/** Canvas to raster, `[a, b, c, d, e, f]` as in CSS, in decimal strings. */
export interface OutputPlan { player: string; number: number; px: [number, number]; slices: { panel: string; raster: Rect; matrix: string[] }[] }

export interface Plan {
  canvas: [number, number]
  from_ms: number
  until_ms: number
  zones: ZonePlan[]
  seams: Rect[]
  panels: { id: string; number: number; rect: Rect; turn: number }[]
  /** Missing in releases made before there were output maps. */
  outputs?: OutputPlan[]
  media: { sha256: string; mime: string; bytes: number }[]
  fonts: { family: string; weight: number; file: string }[]
}
