import { call } from './client'

const step = (): { batch: string; client: string } => ({ batch: crypto.randomUUID(), client: crypto.randomUUID() })

/** The glazing of a layout, as one of the site's own starters. */
export const keepStarter = (
  design: string,
  kept: { starter: string; name: string; scene: string; layout: string },
): Promise<unknown> => call('POST', `/api/designs/${design}/starters`, { ...step(), ...kept })
export const removeStarter = (shelf: { document: string; revision: number }, id: string): Promise<unknown> =>
  call('POST', `/api/documents/${shelf.document}/batches`, {
    ...step(),
    revision: shelf.revision,
    commands: [{ do: 'starter.put', id, starter: null }],
  })
export const bringStarterBack = (shelf: { document: string }): Promise<unknown> =>
  call('POST', `/api/documents/${shelf.document}/undo`, step())
