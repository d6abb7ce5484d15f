/** What the server says of releases and players. */
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
