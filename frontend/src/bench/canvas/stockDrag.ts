import { reactive } from 'vue'
import type { MediaLine } from '../../api/types'

/**
 * Where a medium is let go: on a pane or a float, on a scene's sheet in the frieze, or, with Shift, on the canvas, as a
 * share of its width and height.
 */
type Target = { zone: string } | { scene: string } | { at: [number, number] }

/** A medium on its way from the Stock. Pointer events, so that it works by touch as well. */
export const carried = reactive<{
  media: MediaLine | null
  x: number
  y: number
  over: string | null
  scene: string | null
}>({ media: null, x: 0, y: 0, over: null, scene: null })

const THRESHOLD_PX = 5

export function carry(media: MediaLine, event: PointerEvent, drop: (target: Target, media: MediaLine) => void): void {
  const [startX, startY] = [event.clientX, event.clientY]
  const move = (moved: PointerEvent): void => {
    if (!carried.media && Math.hypot(moved.clientX - startX, moved.clientY - startY) < THRESHOLD_PX) return
    const under = document
      .elementsFromPoint(moved.clientX, moved.clientY)
      .filter((element): element is HTMLElement => element instanceof HTMLElement)
    const named = (what: 'pane' | 'scene'): string | null =>
      under.find((element) => element.dataset[what] !== undefined)?.dataset[what] ?? null
    Object.assign(carried, { media, x: moved.clientX, y: moved.clientY, over: named('pane'), scene: named('scene') })
  }
  const end = (ended: Event): void => {
    removeEventListener('pointermove', move)
    removeEventListener('pointerup', end)
    removeEventListener('pointercancel', end)
    removeEventListener('keydown', escape)
    const { over: zone, scene } = carried
    Object.assign(carried, { media: null, over: null, scene: null })
    if (!(ended instanceof PointerEvent) || ended.type !== 'pointerup') return
    const sheet = document.querySelector('.canvas-sheet')?.getBoundingClientRect()
    if (zone && ended.shiftKey && sheet)
      drop({ at: [(ended.clientX - sheet.left) / sheet.width, (ended.clientY - sheet.top) / sheet.height] }, media)
    else if (zone) drop({ zone }, media)
    else if (scene) drop({ scene }, media)
  }
  const escape = (pressed: KeyboardEvent): void => {
    if (pressed.key === 'Escape') end(pressed)
  }
  addEventListener('pointermove', move)
  addEventListener('pointerup', end)
  addEventListener('pointercancel', end)
  addEventListener('keydown', escape)
}
