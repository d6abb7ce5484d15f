import { computed, shallowRef } from 'vue'
import type { ZoneDocument } from '../../api/types'
import { useDesign } from '../store/design'

interface Gone {
  letter: string
  kind: ZoneDocument['fill']['kind']
}
/** Content that went with the last merge, and can be brought back by undo. */
const gone = shallowRef<Gone[]>([])

/**
 * Merging keeps the pane that is chosen: its neighbour gives it its room and goes. What went with content is said, with
 * a way back. A neighbour that is a whole group of panes cannot go; then the chosen pane goes into it.
 */
export function useMerge(): (chosen: string, neighbour: string) => Promise<void> {
  const design = useDesign()
  return async (chosen, neighbour) => {
    const isPane = design.zones[neighbour] !== undefined
    const [pane, into] = isPane ? [neighbour, chosen] : [chosen, neighbour]
    const lost = design.documents[pane]
    gone.value = []
    if (!(await design.send([{ do: 'pane.merge', ...design.place, pane, into }]))) return
    design.selected = isPane ? chosen : (design.order[0] ?? null)
    if (lost && lost.fill.kind !== 'empty' && design.documents[pane] === undefined && lost.scenes.length < 2)
      gone.value = [{ letter: lost.letter, kind: lost.fill.kind }]
  }
}

/** What is said of content that disappeared. */
export function useGone() {
  const design = useDesign()
  return {
    gone: computed(() => gone.value),
    /** Looks what a step takes with it. */
    async watching(work: () => Promise<boolean>): Promise<void> {
      const before = { ...design.documents }
      gone.value = []
      if (!(await work())) return
      gone.value = Object.entries(before).flatMap(([id, document]) =>
        design.documents[id] || document.fill.kind === 'empty' || document.scenes.length > 1
          ? []
          : [{ letter: document.letter, kind: document.fill.kind }],
      )
    },
    dismiss: () => void (gone.value = []),
    async bringBack(): Promise<void> {
      gone.value = []
      await design.step('undo')
    },
  }
}
