import { ref } from 'vue'
import { followPointer } from '../../ui/followPointer'
import { useDesign } from '../store/design'
import { snapped } from './snapTime'

/** A piece of a lane whose end is the end of an entry; ms of the rail. */
export interface Edge {
  zone: string
  entry: string
  fromMs: number
  key: string
}

/** Drags the end of an entry along the rail: it lasts so long then. Alt lets it lie between; Escape leaves it. */
export function useEdgeDrag(spanMs: () => number, edges: (but: string) => number[]) {
  const design = useDesign()
  const dragged = ref<{ key: string; toMs: number; ms: number } | null>(null)

  function press(event: PointerEvent, edge: Edge): void {
    const lanes = (event.currentTarget as HTMLElement).closest('.lanes')
    if (!design.mayChange || event.button !== 0 || !lanes) return
    event.preventDefault()
    event.stopPropagation()
    const { left, width } = lanes.getBoundingClientRect()
    const others = edges(edge.zone)
    followPointer(
      (at) => {
        const raw = ((at.clientX - left) / width) * spanMs()
        const toMs = at.altKey
          ? Math.max(edge.fromMs + 1, Math.round(raw))
          : snapped(raw, edge.fromMs, others, width / spanMs())
        dragged.value = { key: edge.key, toMs, ms: Math.round(toMs - edge.fromMs) }
      },
      (kept) => {
        const now = dragged.value
        dragged.value = null
        if (kept && now) lasts(edge, now.ms)
      },
    )
  }
  function lasts({ zone, entry }: Edge, ms: number): void {
    const fill = design.documents[zone]?.fill
    const there = fill?.kind === 'playlist' ? fill.entries.find((one) => one.id === entry) : undefined
    if (there && there.duration_ms !== ms)
      void design.send([{ do: 'entry.set', zone, entry: { ...there, duration_ms: ms } }])
  }

  return { dragged, press }
}
