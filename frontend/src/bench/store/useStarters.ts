import { ref } from 'vue'
import { bringStarterBack, keepStarter, removeStarter } from '../../api/starters'
import { useDesign } from './design'

/** The site's own starters: kept from a layout, taken away, brought back. */
export function useStarters() {
  const design = useDesign()
  const error = ref<unknown>(null)
  /** What was taken away last. */
  const gone = ref<string | null>(null)

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
    attempt(() => keepStarter(design.id, { ...design.place, starter: design.fresh('k'), name }))
  async function remove(id: string, name: string): Promise<void> {
    const shelf = design.answer?.shelf
    if (!shelf) return
    if (await attempt(() => removeStarter(shelf, id))) gone.value = name
  }
  async function bringBack(): Promise<void> {
    const shelf = design.answer?.shelf
    gone.value = null
    if (shelf) await attempt(() => bringStarterBack(shelf))
  }
  return { error, gone, keep, remove, bringBack }
}
