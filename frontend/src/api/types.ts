/** What the server's answers look like; the OpenAPI document in docs/ says the same, and tests hold both to it. */
import type { Rect, Ratio, ZonePlan } from '../plan/types'

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
export interface PictureFill { kind: 'picture'; media: string; fit: FitMode; focus: [number, number]; ground: string }
export interface VideoFill { kind: 'video'; media: string; fit: FitMode; focus: [number, number]; ground: string; sound: boolean }
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

export interface SurfaceLine {
  code: string
  name: string
  kind: string
  left_mm: number
  floor_mm: number
  width_um: number
  height_um: number
  orientation: 'portrait' | 'landscape'
  rotation: number
  native: [number, number]
  canvas: [number, number]
  pitch_mm: [number, number]
  ratio: Ratio
  panels: { id: string; number: number; rect: Rect }[]
  seams: Rect[]
  designs: { id: string; name: string; revision: number; changed_at: string; changed_by: string | null }[]
  players: { code: string; state: PlayerState }[]
}

export interface Elevation {
  site: { slug: string; name: string; address: string; zone: string }
  surfaces: SurfaceLine[]
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
