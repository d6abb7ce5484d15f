import type { SaidHours } from './hours'
/** What the server's answers look like; the OpenAPI document in docs/ says the same, and tests hold both to it. */
import type { FloatPlace, Starter } from './floats'
import type { DatedPlan, Drawing, ListHours, Mark, Rect, Ratio, RoundPlan, ZonePlan, Transition } from '../plan/types'
import type { ColourFill, Fill, PictureFill } from './fills'

export * from './fills'

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
  /** Its name, where findings of several stand together. */
  surface?: string
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
  /** In which versions it uses other documents and media: given back with every change. */
  depends?: string
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

export interface ZoneDocument {
  letter: string
  name: string
  runs_on?: boolean
  /** The zone that it goes in step with. */
  follows?: NonNullable<ZonePlan['follows']>
  fill: Fill
  /** The scenes it stands in. */
  scenes: string[]
  /** Px to set each text at, so that the farthest viewer reads its capitals, by entry. */
  least_sizes?: Record<string, number>
  /** Of a list that has hours. */
  hours?: ListHours
  /** The first that come, where some lie between others or it goes in step: by their places among those that are on. */
  order?: { at_ms: number; ms: number; place: number | null; leader?: number }[]
  /** How long the content of its entries is in ms, where it has a length: of a text, how long reading it takes. */
  contents?: Record<string, number>
  /** How often each entry is seen in an hour and on a day, where that does not depend on the day. */
  often?: Record<string, { hour: string; day: string }>
  /** How the hours of its entries are said, by entry. */
  whens?: Record<string, SaidHours>
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
  /** It keeps its px. */
  locked: boolean
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
  guides: { id: string; axis: 'x' | 'y'; at: number }[]
  /** Where the cells of the lattice begin and end. */
  lattice: Record<'x' | 'y', number[]> | null
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
  /** Zones that show several things in turn, and until they begin anew together; null: above seven days. */
  lanes: number
  meets_ms: number | null
  /** Entries, by their place among those that are enabled, that its end cuts. */
  cut: { zone: string; entry: number; entry_left_ms: number; cycle_left_ms: number }[]
  length: SceneLength
  transition: Transition
  ground: Drawing
  /** What the ground is, as it is set. */
  ground_fill: ColourFill | PictureFill
  mark: Mark | null
  turned: boolean
  zones: number
  /** Its zones in its own layout; without a colour of its own, by its kind. */
  sketch: Record<string, { rect: Rect; kind: Fill['kind']; colour: string | null }>
  /** Back to front; null when it is as it was, and `sketch` says only what changed. */
  sketch_order: string[] | null
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
  /** A playlist of the Stock, without a layout. */
  list: boolean
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
  dates: DatedPlan['dates']
  /** What somebody may be allowed something on: it, and what it lies in. */
  things?: string[]
  /** Zones in reading order, and back to front; null: as it was. */
  order: string[] | null
  layers: string[] | null
  bench: BenchView | null
  /** Zones that stand only in other scenes; null: as it was. */
  elsewhere: { id: string; letter: string; name: string; kind: Fill['kind'] }[] | null
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
  /** Code and name are null while it is for a size that no surface has yet. */
  surface?: { code: string | null; name: string | null; site: string; site_name: string; zone: string }
  /** Codes of the surfaces it is meant for beside that one. */
  surfaces: string[]
  archived: boolean
  /** Id of the house style whose names its fills use. */
  style: string | null
  /** Its texts stand still, and everything changes by a cut. */
  still: boolean
  ratio?: Ratio
  /** The site's own starters as a document; null while there are none. */
  shelf?: { document: string; revision: number } | null
  /** From where people look, and how large a px is drawn so that it takes up the angle it has from there. */
  seen?: { mm: number; scale_ppm: number }[]
  /** Size of the canvas in µm. */
  um?: [number, number]
}

/** What people note of a medium; `until`: the last day on which it may be shown. */
export interface MediaNotes {
  tags: string[]
  licence: string
  until: string | null
  folder: string
}
export interface MediaLine {
  id: string
  name: string
  mime: string
  kind: 'picture' | 'video' | 'font' | 'page'
  bytes: number
  sha256: string
  state: 'waiting' | 'ready' | 'failed'
  fault: { message: string; mend: string } | null
  uses: number
  used_in?: string[]
  size: [number, number] | null
  ratio: Ratio | null
  duration_ms: number | null
  /** What was uploaded, where something else was made of it. */
  original: { mime: string; bytes: number; codec: string; why: string[] } | null
  font: { family: string; weight: number; embedding: 'installable' | 'preview' | 'editable'; glyphs: number } | null
  /** Bits of each colour when it came. */
  depth: number | null
  alpha: boolean | null
  /** What it was before it was replaced, latest first. */
  earlier: { sha256: string; name: string; until: string; by: string }[]
  notes: MediaNotes
  already?: boolean
}

export type Role = 'designer' | 'editor' | 'operator' | 'technician' | 'administrator'
export type Right = 'see' | 'design' | 'mount' | 'fill' | 'clear' | 'release' | 'hand_off' | 'pair'
export interface SiteLine {
  slug: string
  name: string
  zone: string
  role: Role
  rights: Right[]
  /** What is allowed on single things of it beside. */
  on: { thing: string; rights: Right[] }[]
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
