import { shallowRef } from 'vue'
import { followPointer } from '../ui/followPointer'

const LEAST_SCREEN_PX = 3

/** Dragging a panel of a free arrangement: by whole mm from where it was, cancelled by Escape. */
export function usePanelDrag(mmPerPx: () => number, done: (id: string, byMm: [number, number]) => void) {
  const drag = shallowRef<{ id: string; by: [number, number] } | null>(null)

  function start(id: string, event: PointerEvent): void {
    const scale = mmPerPx()
    followPointer(
      (moved) => {
        const by: [number, number] = [moved.clientX - event.clientX, moved.clientY - event.clientY]
        if (drag.value || Math.hypot(...by) > LEAST_SCREEN_PX)
          drag.value = { id, by: [Math.round(by[0] * scale), Math.round(by[1] * scale)] }
      },
      (kept) => {
        const last = drag.value
        drag.value = null
        if (kept && last) done(id, last.by)
      },
    )
  }

  return { drag, start }
}
