import { computed, nextTick, ref, type ComputedRef, type Ref } from 'vue'
import type { TextFill } from '../../api/types'
import type { ZonePlan } from '../../plan/types'
import { faceOf, giveFocus } from '../../ui/focus'
import { useDesign } from '../store/design'

/** Whose words are written where they stand: begun by a double click or F2, left by Escape or a click elsewhere. */
export function useWriting(editable: () => boolean): {
  writing: ComputedRef<{ plan: ZonePlan; fill: TextFill } | null>
  begin: (zone: string | null | undefined) => Promise<void>
  beginAt: (event: MouseEvent) => void
  end: () => void
} {
  const design = useDesign()
  const zone: Ref<string | null> = ref(null)
  const writing = computed(() => {
    const [plan, document] = zone.value ? [design.zones[zone.value], design.documents[zone.value]] : []
    return plan && document?.fill.kind === 'text' ? { plan, fill: document.fill } : null
  })
  async function begin(wanted: string | null | undefined): Promise<void> {
    const kind = wanted ? design.documents[wanted]?.fill.kind : undefined
    if (!wanted || !editable() || (kind !== 'text' && kind !== 'empty')) return
    design.selected = wanted
    // What shows nothing yet becomes a text.
    if (kind === 'empty' && !(await design.beginFill(wanted, 'text'))) return
    zone.value = wanted
  }
  function beginAt(event: MouseEvent): void {
    const hit = (event.target as HTMLElement).closest<HTMLElement>('[data-pane], [data-float]')
    void begin(hit?.dataset['pane'] ?? hit?.dataset['float'])
  }
  function end(): void {
    const left = zone.value
    zone.value = null
    if (!left) return
    void nextTick(() => {
      const face = faceOf(left)()
      // Whoever ends by Escape was at work on the canvas.
      if (face) giveFocus(face, true)
    })
  }
  return { writing, begin, beginAt, end }
}
