/** What the server's answers about surfaces look like. */
import type { DatedPlan, Rect, Ratio } from '../plan/types'
import type { PlayerState } from './handoff'
import type { DocumentAnswer, Finding } from './types'

export type Pair = [number, number]
export interface PanelShape {
  id?: string
  native: Pair
  active_mm: Pair
  bezel_mm?: Rect
  rotation?: number
  position_mm?: Pair
}
export interface GridShape {
  columns: number
  rows: number
  panel: PanelShape
  gap_mm?: Pair
}
/** A surface as people describe it: one of `panels` and `grid`. */
export interface Shape {
  panels?: PanelShape[]
  grid?: GridShape
  mode?: 'compensated' | 'butted'
  blends?: [string, string][]
}

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

/** Of surfaces; its name may change, its id does not. */
export interface Group {
  id: string
  name: string
}
export interface NamedArea {
  id: string
  name: string
  unit: 'px' | '%'
  rect: Rect
}
export interface Slice {
  panel: string
  canvas: Rect
  raster: Rect
  turn: number
  mirror: boolean
}
export interface Output {
  player: string
  number: number
  px: Pair
  millihertz: number
  slices: Slice[]
}

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
  /** Ids. */
  groups: string[]
  areas: NamedArea[]
  outputs: Output[] | null
  archived: boolean
}

export interface SurfaceLine extends Resolved, SheetFields {
  code: string
  /** What somebody may be allowed something on: it, and what it lies in. */
  things: string[]
  /** Its sheet, as a document. */
  document: string
  revision: number
  area_rects: Record<string, Rect>
  designs: {
    id: string
    name: string
    area: string | null
    revision: number
    changed_at: string
    changed_by: string | null
  }[]
  feeding: FeedingLine[]
  /** What it was handed last. */
  handed: { release: number; start_ms: number } | null
  /** A design that was changed after that was released. */
  draft: { id: string; name: string; revision: number } | null
}

export interface Wiring {
  automatic?: boolean
  outputs: Output[]
  findings: Finding[]
  next?: Output | null
}

/** A player that feeds a surface, and what it was handed. */
export interface FeedingLine {
  code: string
  outputs: number
  state: PlayerState
  ordered: { release: number; design: string; number: number; revision: number; start_ms: number } | null
}

export interface SurfaceWhole extends SurfaceLine, DocumentAnswer {
  wiring: Wiring
  /** What one more player would be called. */
  next_player: string
  revision: number
}

export interface Effects {
  before: { canvas: Pair }
  after: Resolved
  /** The output map goes with the old shape. */
  unwired: boolean
  designs: {
    id: string
    name: string
    zones: { letter: string; before: Rect | null; after: Rect }[]
    findings: Finding[]
    /** None of one that cannot be read. */
    plan: DatedPlan | null
  }[]
}

export interface Figures {
  native: Pair
  active_mm: Pair
  pitch_mm: Pair
}
export interface StandardMode {
  px: Pair
  name: string
}
export interface EdidAnswer {
  maker: string
  product: number
  name: string
  native: Pair
  refresh_hz: number
  active_mm: Pair | null
  size_from: string | null
  version: string
  findings: Finding[]
}

export interface Elevation {
  site: { slug: string; name: string; address: string; zone: string }
  now_ms: number
  /** The site's groups, in their order; null when the book cannot be read. */
  book: { document: string; groups: Group[] } | null
  surfaces: SurfaceLine[]
  archived: { code: string; name: string; document: string; revision: number }[]
  /** Those whose sheet cannot be read, with the reason. */
  unreadable: { code: string; name: string; document: string; why: { message: string; mend: string } | null }[]
}
