import { call } from './client'
import type { PlaylistFill } from './fills'

/** A playlist of the Stock: one list that fills a canvas of its own, used by any number of zones. */
export interface PlaylistLine {
  id: string
  name: string
  canvas: [number, number]
  entries: number
  cycle_ms: number | null
  used_by: { id: string; name: string }[]
}
/** Pitch in mm. */
interface PlaylistMade {
  design: string
  name: string
  canvas: { px: [number | null, number | null]; pitch_mm: number | null }
  list?: PlaylistFill
}
export const playlistsOf = (site: string): Promise<PlaylistLine[]> =>
  call<{ playlists: PlaylistLine[] }>('GET', `/api/sites/${site}/playlists`).then((answer) => answer.playlists)
export const makePlaylist = (site: string, made: PlaylistMade): Promise<string> =>
  call<{ design: string }>('POST', `/api/sites/${site}/playlists`, made).then((answer) => answer.design)
