import { ref } from 'vue'
import { call } from '../api/client'
import { useDesign } from './design'

/** The site's own starters: kept from a layout, taken away, brought back. */
export function useStarters() {
  const design = useDesign()
  const error = ref<unknown>(null)
  /** What was taken away last. */
  const gone = ref<string | null>(null)
  const step = (): Record<string, string> => ({ batch: crypto.randomUUID(), client: crypto.randomUUID() })

  async function attempt(work: () => Promise<unknown>): Promise<boolean> {
    error.value = null
    try {
      await work()
      await design.reload()
      return true
    } catch (refused) {
      error.value = refused
      return false
    }
  }
  const keep = (name: string): Promise<boolean> =>
    attempt(() =>
      call('POST', `/api/designs/${design.id}/starters`, {
        ...step(),
        ...design.place,
        starter: design.fresh('k'),
        name,
      }),
    )
  async function remove(id: string, name: string): Promise<void> {
    const shelf = design.answer?.shelf
    if (!shelf) return
    const commands = [{ do: 'starter.put', id, starter: null }]
    const done = await attempt(() =>
      call('POST', `/api/documents/${shelf.document}/batches`, { ...step(), revision: shelf.revision, commands }),
    )
    if (done) gone.value = name
  }
  async function bringBack(): Promise<void> {
    const shelf = design.answer?.shelf
    gone.value = null
    if (shelf) await attempt(() => call('POST', `/api/documents/${shelf.document}/undo`, step()))
  }
  return { error, gone, keep, remove, bringBack }
}
