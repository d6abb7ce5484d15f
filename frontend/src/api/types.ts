/** What the server's answers look like; the OpenAPI document in docs/ says the same, and tests hold both to it. */
import type { FloatPlace, Starter } from './floats'
import type { Drawing, Rect, Ratio, RoundPlan, ZonePlan } from '../plan/types'

export interface Problem {
  title: string
  status: number
  code: string
  path: string
  mend: string
  params: Record<string, unknown>
  things?: Versions[]
  between?: RevisionLine[]
  revision?: number
  findings?: Finding[]
  questions?: Finding[]
}

export interface Finding {
  code: string
  severity: 'stop' | 'caution' | 'note'
  path: string
  params: Record<string, string>
  message: string
  mend: string
}

/** What a batch did: a code of the catalogue and its parameters. */
export interface Label {
  code: string
  about: Record<string, string>
}

export interface RevisionLine {
  number: number
  author: string
  at: string
  nature: 'begin' | 'edit' | 'undo' | 'redo' | 'mend'
  cancels: number | null
  labels: Label[]
}

/** What every answer about a document says. */
export interface DocumentAnswer {
  revision: number
  /** Everything is here, not only what changed. */
  whole?: boolean
  undo: { undo: Label[] | null; redo: Label[] | null }
  between: RevisionLine[]
}

/** A touched thing in both versions; null where it is not there. */
export type Versions =
  | { what: 'zone'; zone: string; letter: string; theirs: ZoneVersion | null; yours: ZoneVersion | null }
  | { what: 'field'; field: string; theirs: unknown; yours: unknown }
  | {
      what: 'scene' | 'name' | 'reflow' | 'order' | 'round' | 'outputs' | 'players'
      field?: string
      theirs: unknown
      yours: unknown
    }
export type ZoneVersion = ZoneDocument & { rect: Rect | null }

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
export interface EmptyFill {
  kind: 'empty'
}
export interface ColourFill {
  kind: 'colour'
  colour: string
}
/** Faces are marked in ppm of the picture. */
interface MediaLook {
  media: string
  fit: FitMode
  focus: [number, number]
  ground: string
  faces?: Rect[]
}
export interface PictureFill extends MediaLook {
  kind: 'picture'
}
export interface VideoFill extends MediaLook {
  kind: 'video'
  sound: boolean
}
export interface TextFill extends TextStyle {
  kind: 'text'
  text: string
}
export interface ClockFill extends TextStyle {
  kind: 'clock'
  pattern: string
}
export interface Entry {
  id: string
  fill: Fill
  duration_ms: number | null
  enabled: boolean
  transition: { kind: 'cut' | 'fade'; ms: number }
}
export interface PlaylistFill {
  kind: 'playlist'
  entries: Entry[]
}
export type MediaFill = PictureFill | VideoFill
export type Fill = EmptyFill | ColourFill | MediaFill | TextFill | ClockFill | PlaylistFill

export interface ZoneDocument {
  letter: string
  name: string
  runs_on?: boolean
  fill: Fill
  /** The scenes it stands in. */
  scenes: string[]
}

export interface Mullion {
  axis: 'x' | 'y'
  at: number
  gutter: number
  from: number
  to: number
  /** Where the part before begins, and the part after ends. */
  start: number
  end: number
  before: string
  after: string
  between: [string[], string[]]
  range: [number, number]
  linked: string[]
  linked_range: [number, number]
}

/** Where a split into halves lies along each axis, and the gutter that would come between. */
export type Halves = Record<'x' | 'y', { at: number; gutter: number }>

export interface BenchPart {
  /** As written, and the px it comes to. */
  size: string
  px: number
  split: string
  axis: 'x' | 'y'
  gutter: number
  halves: Halves
  neighbours: { part: string; side: 'left' | 'right' | 'above' | 'below'; letters: string[] }[]
}

export interface BenchView {
  mullions: Mullion[]
  snaps: Record<'x' | 'y', SnapLine[]>
  parts: Record<string, BenchPart>
  floats: Record<string, FloatPlace>
  /** Glazings to begin with, while the layout is one pane. */
  starters: Starter[]
  root: Halves
}

/**
 * A line that dragged lines snap to: of those near enough the lowest rank wins. `after` names the mullion that it is.
 */
export interface SnapLine {
  at: number
  kind: string
  rank: number
  after: string | null
}

export type SceneLength =
  { kind: 'open' } | { kind: 'longest' } | { kind: 'ms'; ms: number } | { kind: 'leader'; zone: string }
export interface SceneLine {
  name: string
  ms: number | null
  length: SceneLength
  transition: { kind: 'cut' | 'fade'; ms: number }
  ground: Drawing
  turned: boolean
  zones: number
}
/** Findings of a scene: of its layout, and by zone; `all` when every zone was judged. */
export interface SceneFindings {
  layout: Finding[]
  zones: Record<string, Finding[]>
  all: boolean
}

export interface DesignAnswer extends DocumentAnswer {
  design: string
  name: string
  canvas: [number, number]
  scene: string
  layout: 'own' | 'turned'
  layouts: { own: [number, number]; turned: [number, number] | null }
  /** All scenes in their order, and those that follow each other by themselves. */
  frieze: string[]
  round: RoundPlan
  /** Those that are another now; all in a whole answer. */
  scenes: Record<string, SceneLine>
  /** What a px becomes on surfaces of another size. */
  reflow: 'short_side' | 'same_mm' | 'same_px'
  now_ms: number
  /** When the site's day began. */
  midnight_ms: number
  /** Zones in reading order, and back to front; null: as it was. */
  order: string[] | null
  layers: string[] | null
  bench: BenchView | null
  zones: Record<string, ZonePlan>
  documents: Record<string, ZoneDocument>
  findings: { general: Finding[]; scenes: Record<string, SceneFindings> }
  seams?: Rect[]
  /** By letter, in canvas px. */
  panels?: Record<string, Rect>
  ranks?: { columns: string[][]; rows: string[][] }
  area?: string | null
  /** What lies inside the surface's safe area; null when none is set or the canvas is another. */
  safe?: Rect | null
  surface?: { code: string; name: string; site: string; site_name: string; zone: string }
  ratio?: Ratio
}

export interface MediaLine {
  id: string
  name: string
  mime: string
  kind: 'picture' | 'video'
  bytes: number
  sha256: string
  state: 'waiting' | 'ready' | 'failed'
  fault: { message: string; mend: string } | null
  uses: number
  used_in?: string[]
  size: [number, number] | null
  ratio: Ratio | null
  duration_ms: number | null
  already?: boolean
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
  /** Why its files are not there yet. */
  waits: { message: string; mend: string } | null
  state: PlayerState
  after: number
  ordered: (ReleaseLine & { start_ms: number; by: string }) | null
  /** What rolling back would bring. */
  before: ReleaseLine | null
  shows: {
    release: number
    received_ms: number
    proven: boolean
    differences: string[]
    zones: Record<string, string | null>
    offset_ms: number
    stepped: boolean
  } | null
  unreleased: { id: string; name: string; revision: number; released: number | null }[]
  releases: ReleaseLine[]
}

export type Role = 'designer' | 'editor' | 'operator' | 'technician' | 'administrator'
export type Right = 'see' | 'design' | 'mount' | 'fill' | 'clear' | 'release' | 'hand_off' | 'pair'
export interface SiteLine {
  slug: string
  name: string
  zone: string
  role: Role
  rights: Right[]
}
export interface Me {
  name: string
  email: string
  role: Role
  sites: SiteLine[]
  csrf: string
}
export interface FontLine {
  family: string
  weight: number
  file: string
}
export type Command = { do: string } & Record<string, unknown>
export interface DemoPerson {
  name: string
  email: string
  role: Role
  password: string
}
