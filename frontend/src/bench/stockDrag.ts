import { reactive } from 'vue'
import type { MediaLine } from '../api/types'

/** A medium on its way from the Stock to a pane. Pointer events, so that it works by touch as well. */
export const carried = reactive<{ media: MediaLine | null; x: number; y: number; over: string | null }>({
  media: null,
  x: 0,
  y: 0,
  over: null,
})

const THRESHOLD_PX = 5

export function carry(media: MediaLine, event: PointerEvent, drop: (zone: string, media: MediaLine) => void): void {
  const [startX, startY] = [event.clientX, event.clientY]
  const move = (moved: PointerEvent): void => {
    if (!carried.media && Math.hypot(moved.clientX - startX, moved.clientY - startY) < THRESHOLD_PX) return
    const under = document
      .elementsFromPoint(moved.clientX, moved.clientY)
      .find(
        (element): element is HTMLElement => element instanceof HTMLElement && element.dataset['pane'] !== undefined,
      )
    Object.assign(carried, { media, x: moved.clientX, y: moved.clientY, over: under?.dataset['pane'] ?? null })
  }
  const end = (ended: Event): void => {
    removeEventListener('pointermove', move)
    removeEventListener('pointerup', end)
    removeEventListener('pointercancel', end)
    removeEventListener('keydown', escape)
    const zone = carried.over
    Object.assign(carried, { media: null, over: null })
    if (ended.type === 'pointerup' && zone) drop(zone, media)
  }
  const escape = (pressed: KeyboardEvent): void => {
    if (pressed.key === 'Escape') end(pressed)
  }
  addEventListener('pointermove', move)
  addEventListener('pointerup', end)
  addEventListener('pointercancel', end)
  addEventListener('keydown', escape)
}
