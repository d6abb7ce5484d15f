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
  /** null: what lies under it is seen. */
  ground: string | null
  spacing_mpx?: number
  /** From the colour to another one, over all that is written; 0: from left to right. */
  gradient?: { to: string; angle: number; rect_mpx: Rect }
  outline?: { colour: string; width_mpx: number }
  shadow?: { colour: string; x_mpx: number; y_mpx: number; blur_mpx: number }
  plate?: { colour: string; rect_mpx: Rect; radius_mpx: number }
}
/** The way a moving text goes, over and over. */
export interface Way {
  from_mpx: [number, number]
  to_mpx: [number, number]
  ms: number
  /** It has come so far when it begins. */
  ahead_ms: number
}
/** When each line comes, and how long it takes: faded in, or typed from where it begins. */
export interface Entrance {
  typed: boolean
  lines: { from_ms: number; ms: number; rtl: boolean }[]
}
/** Of a line that is not all alike. */
export interface TextPart {
  text: string
  weight?: number
  colour?: string
}
export interface TextLine {
  text: string
  parts?: TextPart[]
  x_mpx: number
  y_mpx: number
  width_mpx: number
}
export interface Transition {
  kind: 'cut' | 'fade' | 'slide_from_left' | 'slide_from_right' | 'slide_from_top' | 'slide_from_bottom' | 'wipe'
  ms: number
}
export interface Timing {
  entry: string | null
  ms: number | null
  transition: Transition
  /** Of rows, over its own drawing. */
  parts?: SubItem[]
  /** It comes after so many of the others. */
  between?: true
}
/** One part of a row in one of its places: in px of the zone. */
export interface SubItem {
  part: string
  place: number
  record: number
  rect: Rect
  drawing: Drawing
}
export type ClockToken = { field: string } | { text: string }
/** So many seconds each; `of`: so many of them make the next larger one. */
export type CountToken = { unit_s: number; of: number | null; digits: number } | { text: string }
export interface Offset {
  from_ms: number
  offset_s: number
}
type OneLine = { box_mpx: Rect; align: 'left' | 'centre' | 'right' } & TextLook
interface Picture {
  sha256: string
  drawn_mpx: Rect
  /** Of its own px. */
  seen_px: [number, number]
  /** Made for where it is shown, of a file of so many bytes. */
  delivered?: { px: [number, number]; bytes: number; of: number }
  /** Of a cropped one: what is to be seen of it. */
  window_mpx?: Rect
  ground: string | null
  cut_ppm: number
  scale_ppm: number
  /** Of art with alpha, in px of the zone: what to lay under each, and the room inside it. */
  openings?: { cover: Rect; inside: Rect }[]
  /** From then on standby is shown. */
  until_ms?: number
}
/** A picture of the Stock that covers the zone. */
export interface Still {
  sha256: string
  drawn_mpx: Rect
}
export type FitMode = 'contain' | 'cover' | 'stretch' | 'none'
export type LiveSource =
  | { as: 'stand-in'; name: 'pattern' | 'camera' | 'television' }
  | { as: 'stream'; address: string }
  | { as: 'device'; name: string }
export interface Drawings {
  standby: object
  colour: { colour: string }
  /** Behind its bars itself, blurred. */
  picture: Picture & { behind?: { drawn_mpx: Rect; blur_mpx: number } }
  /** So long; of a part of a file, from so far into it on. */
  video: Picture & { content_ms: number; content_from_ms?: number; sound: boolean }
  /** `approximate`: its widths are estimated, until a browser has measured them. */
  text: { lines: TextLine[]; ticker?: Way; entrance?: Entrance; approximate?: true } & TextLook
  clock: { tokens: ClockToken[] } & OneLine
  count: { tokens: CountToken[]; at_ms: number; up: boolean } & OneLine
  dial: {
    hands: string
    face: string
    accent: string
    ground: string | null
    seconds: boolean
    /** Middle and radius. */
    circle_mpx: [number, number, number]
  }
  progress: {
    /** `scene`, or a zone's id: then of the entry that shows, or of its whole round. */
    of: string
    whole: boolean
    upright: boolean
    colour: string
    track: string
    ground: string | null
    /** Middle, radius and thickness; a bar otherwise. */
    ring_mpx?: [number, number, number, number]
  }
  qr: {
    /** Modules, 1 is dark; none where there is no room or nothing to say. */
    rows: string[]
    module_px: number
    place_px: [number, number]
    colour: string
    ground: string
    scan_mm: number | null
  }
  shape: {
    path: string
    box_mpx: Rect
    colour: string
    ground: string | null
    /** From the colour to another one, along a line in thousandths of the box. */
    gradient?: { to: string; line: [number, number, number, number] }
    line?: { colour: string; width_mpx: number }
    label?: { rect_mpx: Rect; lines: TextLine[] } & TextLook
  }
  /** Figures are filled, or drawn as lines of a width. */
  chart: {
    font: string
    weight: number
    colour: string
    ground: string | null
    box_mpx: Rect
    figures: { path: string; colour: string; line_mpx: number }[]
    words: (TextLine & { size: number; line_mpx: number })[]
  }
  web: {
    /** Empty: nothing that could be shown. */
    address: string
    /** Of a page of the Stock. */
    sha256?: string
    /** That the page is laid out for, with what is scrolled past. */
    window_px: [number, number]
    scroll_px: number
    scale_ppm: number
    refresh_ms: number | null
    ground: string
    still: Still | null
  }
  live: {
    source: LiveSource
    fit: FitMode
    sound: boolean
    ground: string
    still: Still | null
  }
}
export type DrawingKind = keyof Drawings
export type Drawing = { [Kind in DrawingKind]: { kind: Kind } & Drawings[Kind] }[DrawingKind]
export type Item = Timing & Drawing

/** What one in step does with more or fewer entries than its leader. */
export type Unequal = 'wrap' | 'hold' | 'clear'
export interface ZonePlan {
  id: string
  letter: string
  name: string
  rect: Rect
  /** Centidegrees clockwise about the centre. */
  turn: number
  layer: number
  float: boolean
  /** Thousandths; opaque when it is not said. */
  opacity?: number
  /** Left out of what is shown; only the bench knows of it. */
  hidden?: boolean
  /** Of a list some of whose items lie between the others: after so many of these. */
  after?: number
  /** In step with the zone that leads it. */
  follows?: { zone: string; unequal: Unequal }
  /** Its time counts from the site's midnight, not from its scene. */
  runs_on: boolean
  ratio: Ratio
  /** Letters of the panels it falls on; empty on a single panel. */
  panels: string[]
  cycle_ms: number | null
  items: Item[]
  /** The shape it is seen in, as a path in px of its box, and the line along its edge, in thousandths. */
  clip?: { path: string; line?: { path: string; colour: string; width_mpx: number } }
}

/** A picture in a corner. */
export interface Mark {
  rect: Rect
  drawing: Drawing
}
export interface ScenePlan {
  name: string
  /** null: until something else comes. */
  ms: number | null
  transition: Transition
  /** The part of the canvas that it covers. */
  place: Rect
  ground: Drawing
  /** The house style's, over all zones. */
  mark?: Mark | null
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

/** Which entries of a list are on together from when: `sets` by their places, one of them from each instant on. */
export interface ListHours {
  sets: number[][]
  from_ms: number[]
  set: number[]
  /** What plays at the first of these instants, of what began before it. */
  starts: { began_ms: number; from_ms: number; set: number }[]
  /** Of a list that is shuffled: by day, from when on, the orders of its passes. */
  orders?: { from_ms: number[]; orders: number[][][] }
}

/**
 * What of a site depends on dates, over the days ahead: its midnights, the changes of its clocks, and the hours of the
 * lists of the plan that is drawn, by zone.
 */
export interface Dates {
  days: number[]
  offsets: Offset[]
  lists?: Record<string, ListHours>
}

/** An instant as everything that is drawn goes by it. */
export interface Now {
  ms: number
  /** When the site's day began. */
  midnight: number
  offsets: Offset[]
  lists: Record<string, ListHours>
}

export interface Plan {
  plan: 2
  canvas: [number, number]
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

/** A plan with the dates that it is looked at by; as the server answers it, with its present instant too. */
export type DatedPlan<D extends Dates = Dates & { now_ms: number }> = Plan & { dates: D }
