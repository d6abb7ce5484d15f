/** A design in the list of a site's designs. */
export interface DesignLine {
  id: string
  name: string
  area: string | null
  canvas: [number, number]
  /** Names. */
  surfaces: string[]
  revision: number
  changed_at: string
  changed_by: string | null
  archived: boolean
}
