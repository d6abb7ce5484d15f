/** What the server's answers look like; the OpenAPI document in docs/ says the same, and tests hold both to it. */
import type { Plan, Rect, Ratio, ZonePlan } from '../plan/types'

export interface Problem {
  title: string
  status: number
  code: string
  path: string
  mend: string
  params: Record<string, unknown>
  zones?: ZoneVersions[]
  between?: RevisionLine[]
  revision?: number
  findings?: Finding[]
  questions?: Finding[]
  theirs?: Record<string, unknown>
  yours?: Record<string, unknown>
}

export interface Finding {
  code: string
  severity: 'stop' | 'caution' | 'note'
  path: string
  params: Record<string, string>
  message: string
  mend: string
}

export interface RevisionLine {
  number: number
  author: string
  label: string
  at: string
  kind?: string
  undone?: boolean
}

export interface ZoneVersions {
  zone: string
  letter: string
  theirs: (ZoneDocument & { rect: Rect }) | null
  yours: (ZoneDocument & { rect: Rect }) | null
}

export interface TextStyle {
  font: string
  weight: number
  size: number
  min_size: number
  mode: 'as_set' | 'wrap' | 'shrink' | 'wrap_shrink' | 'ellipsis'
  line_height: number
  colour: string
  ground: string
  align: 'left' | 'centre' | 'right'
  valign: 'top' | 'middle' | 'bottom'
  padding: number
}

export type FitMode = 'contain' | 'cover' | 'stretch' | 'none'
export interface EmptyFill { kind: 'empty' }
export interface ColourFill { kind: 'colour'; colour: string }
/** Faces are marked in ppm of the picture. */
interface MediaLook { media: string; fit: FitMode; focus: [number, number]; ground: string; faces?: Rect[] }
export interface PictureFill extends MediaLook { kind: 'picture' }
export interface VideoFill extends MediaLook { kind: 'video'; sound: boolean }
export interface TextFill extends TextStyle { kind: 'text'; text: string }
export interface ClockFill extends TextStyle { kind: 'clock'; pattern: string }
export interface Entry { id: string; fill: Fill; duration_ms: number | null; enabled: boolean; transition: { kind: 'cut' | 'fade'; ms: number } }
export interface PlaylistFill { kind: 'playlist'; entries: Entry[] }
export type MediaFill = PictureFill | VideoFill
export type Fill = EmptyFill | ColourFill | MediaFill | TextFill | ClockFill | PlaylistFill

export interface ZoneDocument { letter: string; name: string; fill: Fill }

export interface Mullion {
  axis: 'x' | 'y'
  at: number
  gutter: number
  from: number
  to: number
  before: string
  after: string
  between: [string[], string[]]
  range: [number, number]
  linked: string[]
  linked_range: [number, number]
}

export interface BenchPart {
  size: string
  split: string
  axis: 'x' | 'y'
  gutter: number
  neighbours: { part: string; side: 'left' | 'right' | 'above' | 'below'; letters: string[] }[]
}

export interface BenchView {
  mullions: Mullion[]
  snaps: Record<'x' | 'y', { at: number; kind: string }[]>
  parts: Record<string, BenchPart>
}

export interface DesignAnswer {
  design: string
  name: string
  revision: number
  canvas: [number, number]
  scene: string
  /** What commands on the glazing name: the scene, with `.turned` behind it for the layout of the other orientation. */
  layout: string
  layouts: { own: [number, number]; other: [number, number] | null }
  missing: Finding[]
  /** What a px becomes on surfaces of another size. */
  reflow: 'short_side' | 'same_mm' | 'same_px'
  /** Everything is here, not only what changed. */
  whole?: boolean
  now_ms: number
  undo: { undo: string | null; redo: string | null }
  between: RevisionLine[]
  /** null: as it was */
  order: string[] | null
  bench: BenchView | null
  zones: Record<string, ZonePlan>
  documents: Record<string, ZoneDocument>
  findings: Record<string, Finding[]>
  seams?: Rect[]
  /** By letter, in canvas px. */
  panels?: Record<string, Rect>
  ranks?: { columns: string[][]; rows: string[][] }
  area?: string | null
  /** What lies inside the surface's safe area; null when none is set or the canvas is another. */
  safe?: Rect | null
  surface?: { code: string; name: string; site: string; zone: string }
  ratio?: Ratio
}

export interface MediaLine {
  id: string
  name: string
  mime: string
  bytes: number
  sha256: string
  state: 'waiting' | 'ready' | 'failed'
  fault: string
  uses: number
  used_in?: string[]
  size: [number, number] | null
  ratio: Ratio | null
  duration_ms: number | null
  already?: boolean
}

export type Pair = [number, number]
export interface PanelShape { id?: string; native: Pair; active_mm: Pair; bezel_mm?: Rect; rotation?: number; position_mm?: Pair }
export interface GridShape { columns: number; rows: number; panel: PanelShape; gap_mm?: Pair }
/** A surface as people describe it: one of `panels` and `grid`. */
export interface Shape { panels?: PanelShape[]; grid?: GridShape; mode?: 'compensated' | 'butted'; blends?: [string, string][] }

export interface ResolvedPanel {
  id: string
  number: number
  letter: string
  rect: Rect
  turn: number
  scale: Pair
  native: Pair
  rotation: number
  face_um: Rect
  bezel_um: Rect
}

/** A shape as the core resolved it. */
export interface Resolved {
  canvas: Pair
  face_um: Pair
  pitch_mm: Pair
  diagonal_mm: number
  px_per_inch: number
  orientation: 'portrait' | 'landscape'
  ratio: Ratio
  panels: ResolvedPanel[]
  seams: Rect[]
  findings: Finding[]
  legible: { pixel_distance_m: number; least_px: number; good_px: number; thumb_px: number }
}

export interface NamedArea { name: string; unit: 'px' | '%'; rect: Rect }
export interface Slice { panel: string; canvas: Rect; raster: Rect; turn: number; mirror: boolean }
export interface Output { player: string; number: number; px: Pair; millihertz: number; slices: Slice[] }

/** The fields of a surface, as they are set. */
export interface SheetFields {
  name: string
  kind: 'LCD' | 'LED' | 'projection'
  shape: Shape
  left_mm: number
  floor_mm: number
  viewing_mm: Pair
  safe_px: Rect
  sound: boolean
  touch: boolean
  groups: string[]
  areas: NamedArea[]
  outputs: Output[] | null
  archived: boolean
}

export interface SurfaceLine extends Resolved, SheetFields {
  code: string
  revision: number
  area_rects: Record<string, Rect>
  designs: { id: string; name: string; area: string | null; revision: number; canvas: Pair; changed_at: string; changed_by: string | null }[]
  players: { code: string; outputs: number; state: PlayerState }[]
}

export interface Wiring { automatic?: boolean; outputs: Output[]; findings: Finding[] }

export interface SurfaceWhole extends SurfaceLine {
  wiring: Wiring
  uses: string[]
  changes: { number: number; author: string; at: string; kind: string; fields: string[]; undone: boolean }[]
  undo: { undo: string[] | null; redo: string[] | null }
}

export interface Effects {
  before: { canvas: Pair }
  after: Resolved
  designs: { id: string; name: string; zones: { letter: string; before: Rect | null; after: Rect }[]; findings: Finding[]; plan: Plan }[]
}

export interface Figures { native: Pair; active_mm: Pair; pitch_mm: Pair }
export interface StandardMode { px: Pair; name: string }
export interface EdidAnswer { maker: string; product: number; name: string; native: Pair; refresh_hz: number; active_mm: Pair | null; size_from: string | null; version: string; findings: Finding[] }

export interface Elevation {
  site: { slug: string; name: string; address: string; zone: string }
  surfaces: SurfaceLine[]
  archived: { code: string; name: string; revision: number }[]
}

export type PlayerState = 'empty' | 'waiting' | 'proven' | 'different' | 'silent'

export interface ReleaseLine {
  release: number
  number: number
  design: string
  name: string
  revision: number
  note: string
  author: string
  at: string
}

export interface PlayerLine {
  code: string
  name: string
  surface: { code: string; name: string }
  paired: boolean
  pairing_open: boolean
  state: PlayerState
  after: number
  ordered: (ReleaseLine & { start_ms: number; by: string }) | null
  shows: { release: number; received_ms: number; proven: boolean; differences: string[]; zones: Record<string, string | null>; offset_ms: number; stepped: boolean } | null
  unreleased: { id: string; name: string; revision: number; released: number | null }[]
  releases: ReleaseLine[]
}

export interface Me { name: string; email: string; role: 'designer' | 'editor' | 'operator' | 'technician' | 'administrator'; csrf: string }
export interface FontLine { family: string; weight: number; file: string }
export type Command = { do: string } & Record<string, unknown>
