import type { ZonePlan } from '../../plan/types'
import { useUploads } from '../../stock/uploads'
import { fillWords } from '../../ui/fillWords'
import { useDesign } from '../store/design'

/** An item of a zone in words: its place in the list, and what it shows. */
export function useEntryWords(): (plan: ZonePlan, index: number) => string {
  const design = useDesign()
  const stock = useUploads()
  const mediaName = (id: string): string | undefined => stock.find(id)?.name
  return (plan, index) => {
    const fill = design.documents[plan.id]?.fill
    const entry = plan.items[index]?.entry
    const entries = fill?.kind === 'playlist' ? fill.entries : []
    const place = entries.findIndex((one) => one.id === entry)
    return place < 0 ? `${index + 1}` : `${place + 1} ${fillWords(entries[place]!.fill, mediaName)}`
  }
}
