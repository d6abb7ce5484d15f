import type { FitMode, LiveSource, Rect, Transition } from '../plan/types'

/** What zones show, as documents hold it. */
export interface TextStyle {
  font: string
  weight: number
  size: number
  min_size: number
  mode: 'as_set' | 'wrap' | 'shrink' | 'wrap_shrink' | 'ellipsis'
  line_height: number
  colour: string
  /** null: what lies under it is seen. */
  ground: string | null
  align: 'left' | 'centre' | 'right'
  valign: 'top' | 'middle' | 'bottom'
  padding: number
  /** Thousandths of the size. */
  spacing?: number
  gradient?: { to: string; angle: number } | null
  outline?: { colour: string; px: number } | null
  shadow?: { colour: string; x: number; y: number; blur: number } | null
  plate?: { colour: string; padding: number; radius: number } | null
  /** The step of the house style's type scale that it has. */
  type?: string | null
  /** Its step for the padding. */
  space?: string | null
}

export type { FitMode, LiveSource }
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
  /** null: what lies under it is seen, through it and beside it. */
  ground: string | null
  faces?: Rect[]
  /** The part that is shown, in ppm of its sides. */
  crop?: Rect | null
  clip?: Clip | null
}
export interface PictureFill extends MediaLook {
  kind: 'picture'
  behind?: 'blurred' | null
  quality?: 'usual' | 'small' | 'original'
}
export interface VideoFill extends MediaLook {
  kind: 'video'
  sound: boolean
  /** ms of the file. */
  trim?: [number, number] | null
}
/** Code points from `from` on, before `to`. */
export interface TextRun {
  from: number
  to: number
  weight?: number | null
  colour?: string | null
}
export interface TextFill extends TextStyle {
  kind: 'text'
  text: string
  runs?: TextRun[]
  entrance?: { way: 'fade' | 'lines' | 'typed'; ms: number } | null
  ticker?: { direction: 'left' | 'right' | 'up' | 'down'; speed: number } | null
}
export interface ClockFill extends TextStyle {
  kind: 'clock'
  pattern: string
}
export interface CountFill extends TextStyle {
  kind: 'count'
  at: string
  up: boolean
  pattern: string
}
/** `of`: `scene`, or a zone's id. */
export interface ProgressFill {
  kind: 'progress'
  of: string
  whole: boolean
  form: 'bar' | 'ring'
  colour: string
  track: string
  ground: string | null
}
export interface DialFill {
  kind: 'dial'
  hands: string
  face: string
  accent: string
  ground: string | null
  seconds: boolean
}
export type QrContent =
  | { as: 'text'; text: string }
  | { as: 'address'; address: string }
  | { as: 'contact'; name: string; phone: string; email: string; address: string }
  | { as: 'network'; name: string; password: string; security: 'WPA' | 'WEP' | 'nopass' }
export interface QrFill {
  kind: 'qr'
  content: QrContent
  level: 'L' | 'M' | 'Q' | 'H'
  colour: string
  ground: string
}
export const SHAPES = [
  'rectangle',
  'ellipse',
  'triangle',
  'diamond',
  'pentagon',
  'hexagon',
  'octagon',
  'cross',
  'arrow',
  'star',
  'ribbon',
  'line',
  'burst',
  'shield',
  'tag',
  'bubble',
  'plaque',
] as const
export interface Clip {
  shape: (typeof SHAPES)[number]
  radius: number
  line?: { colour: string; px: number } | null
}
export interface ShapeFill {
  kind: 'shape'
  shape: (typeof SHAPES)[number]
  colour: string
  gradient?: { to: string; angle: number } | null
  line?: { colour: string; px: number } | null
  radius: number
  padding: number
  ground: string | null
  /** Words in it. */
  label?: TextFill | null
}
export interface ChartFill {
  kind: 'chart'
  form: 'bars' | 'line' | 'gauge' | 'figure'
  /** Label and value, as they were typed. */
  rows: [string, string][]
  unit: string
  from: string
  to: string
  font: string
  weight: number
  size: number
  min_size: number
  ink: string
  colour: string
  accent: string
  ground: string | null
  padding: number
}
export interface WebFill {
  kind: 'web'
  address: string
  width: number
  scroll: number
  refresh_s: number | null
  still: string | null
  ground: string
}
export interface LiveFill {
  kind: 'live'
  source: LiveSource
  fit: FitMode
  sound: boolean
  still: string | null
  ground: string
}
export type WrittenFill = TextFill | ClockFill | CountFill
/** Days and hours in civil time of the site, a rule of RFC 5545. */
export interface When {
  start: string
  end: string
  days?: number
  rrule?: string
}
export interface Entry {
  id: string
  fill: Fill
  duration_ms: number | null
  enabled: boolean
  transition: Transition
  when?: When | null
  /** Shown instead of all others of the list while it is on. */
  alone?: boolean
  /** One of these comes after so many of the others. */
  between?: boolean
}
export interface PlaylistFill {
  kind: 'playlist'
  entries: Entry[]
  clip?: Clip | null
  order?: 'listed' | 'shuffled' | 'random'
  /** One of those that lie between comes after so many of the others. */
  after?: number
  /** The playlist of the Stock that the entries are of. */
  of?: string
}
export type MediaFill = PictureFill | VideoFill
export type Fill =
  | EmptyFill
  | ColourFill
  | MediaFill
  | WrittenFill
  | DialFill
  | ProgressFill
  | QrFill
  | ShapeFill
  | ChartFill
  | WebFill
  | LiveFill
  | PlaylistFill
