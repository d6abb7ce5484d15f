import { call } from './client'

/** A document that uses another one, or a medium. */
export interface Use {
  id: string
  kind: string
  name: string
}
const by = (path: string): Promise<Use[]> => call<{ by: Use[] }>('GET', path).then((answer) => answer.by)
export const usesOfDocument = (id: string): Promise<Use[]> => by(`/api/documents/${id}/uses`)
export const usesOfMedia = (id: string): Promise<Use[]> => by(`/api/stock/${id}/uses`)
