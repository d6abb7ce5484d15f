import { call } from './client'

/** A document that was removed and can be brought back. */
export interface Removed {
  id: string
  kind: string
  name: string
  removed_ms: number
  by: string | null
  /** For how many days more. */
  days: number
}

export const removed = (site: string): Promise<Removed[]> =>
  call<{ removed: Removed[] }>('GET', `/api/sites/${site}/removed`).then((answer) => answer.removed)
export const removeDocument = (id: string): Promise<void> => call('DELETE', `/api/documents/${id}`)
export const bringBack = (id: string): Promise<void> => call('POST', `/api/documents/${id}/back`, {})
