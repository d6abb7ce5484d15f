import { shallowRef } from 'vue'
import type { BenchView, Mullion } from '../../api/types'
import { followPointer } from '../../ui/followPointer'
import { snapTo } from './snap'

export interface Drag {
  mullion: Mullion
  at: number
  alone: boolean
}

/**
 * Dragging a mullion: a snapshot on entry, recomputed from it on every move, cancelled by Escape. The limits came with
 * the plan.
 */
export function useMullionDrag(
  view: () => BenchView,
  scale: () => number,
  done: (mullion: Mullion, at: number, alone: boolean) => void,
) {
  const drag = shallowRef<Drag | null>(null)

  function limits(mullion: Mullion, alone: boolean): [number, number] {
    return alone ? mullion.range : mullion.linked_range
  }

  function start(mullion: Mullion, event: PointerEvent): void {
    const origin = mullion.axis === 'x' ? event.clientX : event.clientY
    followPointer(
      (moved) => {
        const raw = Math.round(mullion.at + ((mullion.axis === 'x' ? moved.clientX : moved.clientY) - origin) / scale())
        const [least, most] = limits(mullion, moved.altKey)
        const snapped = moved.ctrlKey ? raw : snapTo(view().snaps[mullion.axis], raw, scale(), mullion.linked)
        const at = Math.max(least, Math.min(most, snapped))
        if (drag.value?.at !== at || drag.value.alone !== moved.altKey)
          drag.value = { mullion, at, alone: moved.altKey }
      },
      (kept) => {
        const last = drag.value
        drag.value = null
        if (kept && last && last.at !== mullion.at) done(mullion, last.at, last.alone)
      },
    )
  }

  function nudge(mullion: Mullion, by: number, alone: boolean): void {
    const [least, most] = limits(mullion, alone)
    const at = Math.max(least, Math.min(most, mullion.at + by))
    if (at !== mullion.at) done(mullion, at, alone)
  }

  return { drag, start, nudge }
}
