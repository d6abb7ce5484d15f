import type { Act } from './acts'
import { call } from './client'

/** What the server says of releases, surfaces and players. */
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
  surfaces?: { code: string; name: string }[]
}

type Ordered = ReleaseLine & { start_ms: number; by: string }

export interface PlayerLine {
  code: string
  name: string
  paired: boolean
  /** Why its files are not there yet. */
  waits: { message: string; mend: string } | null
  state: PlayerState
  /** Where it was handed something else than its surface, before surfaces had programmes. */
  apart: Ordered | null
  shows: {
    /** null: the idle card. */
    release: number | null
    received_ms: number
    proven: boolean
    differences: string[]
    zones: Record<string, string | null>
    offset_ms: number
    stepped: boolean
    /** Of its pages, one for each output; null where there are not two. */
    outputs: { numbers: number[]; agree: boolean } | null
    /** It has not heard the server since it was switched on; its almanac has run out. */
    unconfirmed: boolean
    /** Of the act that took its surface. */
    act: string | null
    almanac_over: boolean
  } | null
}

/** A design that no release shows as it would be now, and why. */
export interface Newer {
  id: string
  name: string
  revision: number
  released: number | null
  why: { what: 'design' | 'style' | 'sheet' | 'media' | 'playlist'; name: string }[]
}

/** What a surface should and could show, and what its players say. */
export interface SurfaceLine {
  surface: { code: string; name: string; things: string[] }
  state: PlayerState
  after: number
  ordered: Ordered | null
  /** What rolling back would bring. */
  before: ReleaseLine | null
  newer: Newer[]
  releases: ReleaseLine[]
  players: PlayerLine[]
  acts: Act[]
}

/** What was on air over a stretch: null where nobody knows; the number 0 is standby. */
export interface AirLine {
  from_ms: number
  until_ms: number
  heard: 'confirmed' | 'denied' | 'silent'
  name: string | null
  number: number | null
}
/** One player of a surface, alone. */
export type PlayerCard = Omit<SurfaceLine, 'newer' | 'releases'> & {
  zone: string
  on_air: AirLine[]
  outputs: { number: number; px: [number, number] }[]
}
export const playerCard = (code: string): Promise<PlayerCard> => call('GET', `/api/players/${code}`)

/** What waits in a lane of the queue, and for how long the oldest has. */
export type Waits = Record<'now' | 'soon' | 'long', { count: number; oldest_ms: number | null }>
export const handedAt = (site: string): Promise<{ zone: string; waits: Waits | null; surfaces: SurfaceLine[] }> =>
  call('GET', `/api/sites/${site}/hand-off`)

/** Gives a release to a surface; `once` sends the same order only once, whatever became of its answer. */
export function handOff(
  line: Pick<SurfaceLine, 'surface' | 'after'>,
  release: number,
  once: (order: string, send: (madeAs: string) => Promise<unknown>) => Promise<unknown>,
): Promise<unknown> {
  const order = { release, after: line.after }
  return once(JSON.stringify([line.surface.code, order]), (made_as) =>
    call('POST', `/api/surfaces/${line.surface.code}/hand-off`, { ...order, made_as }),
  )
}
