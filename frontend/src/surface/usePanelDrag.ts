import { shallowRef } from 'vue'

const LEAST_SCREEN_PX = 3

/** Dragging a panel of a free arrangement: by whole mm from where it was, cancelled by Escape. */
export function usePanelDrag(mmPerPx: () => number, done: (id: string, byMm: [number, number]) => void) {
  const drag = shallowRef<{ id: string; by: [number, number] } | null>(null)

  function start(id: string, event: PointerEvent): void {
    const scale = mmPerPx()
    const move = (moved: PointerEvent): void => {
      const by: [number, number] = [moved.clientX - event.clientX, moved.clientY - event.clientY]
      if (drag.value || Math.hypot(...by) > LEAST_SCREEN_PX) drag.value = { id, by: [Math.round(by[0] * scale), Math.round(by[1] * scale)] }
    }
    const end = (ended: Event): void => {
      removeEventListener('pointermove', move)
      removeEventListener('pointerup', end)
      removeEventListener('pointercancel', end)
      removeEventListener('keydown', escape, true)
      const last = drag.value
      drag.value = null
      if (ended.type === 'pointerup' && last) done(id, last.by)
    }
    const escape = (pressed: KeyboardEvent): void => {
      if (pressed.key === 'Escape') end(pressed)
    }
    addEventListener('pointermove', move)
    addEventListener('pointerup', end)
    addEventListener('pointercancel', end)
    addEventListener('keydown', escape, true)
  }

  return { drag, start }
}
