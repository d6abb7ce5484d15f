import { shallowRef } from 'vue'
import type { SurfaceLine } from '../api/surfaces'
import { followPointer } from '../ui/followPointer'

const LEAST_SCREEN_PX = 3
const STEP_MM = 10

/**
 * Dragging on the Elevation: a surface to another place (in whole 10 mm), or the wall itself. A snapshot on entry;
 * Escape cancels.
 */
export function useArrange(
  scale: () => number,
  arranging: () => boolean,
  pan: (x: number, y: number) => void,
  place: (one: SurfaceLine, leftMm: number, floorMm: number) => void,
) {
  const drag = shallowRef<{ code: string; left: number; floor: number } | null>(null)

  function start(event: PointerEvent, one: SurfaceLine | null): void {
    if (event.button !== 0) return
    const moves = one && arranging() ? one : null
    let [lastX, lastY] = [event.clientX, event.clientY]
    let far = false
    followPointer(
      (moved) => {
        far ||= Math.hypot(moved.clientX - event.clientX, moved.clientY - event.clientY) > LEAST_SCREEN_PX
        if (!far) return
        if (moves) {
          const step = (mm: number): number => Math.round(mm / STEP_MM) * STEP_MM
          drag.value = {
            code: moves.code,
            left: step(moves.left_mm + (moved.clientX - event.clientX) / scale()),
            floor: step(moves.floor_mm - (moved.clientY - event.clientY) / scale()),
          }
        } else pan(moved.clientX - lastX, moved.clientY - lastY)
        ;[lastX, lastY] = [moved.clientX, moved.clientY]
      },
      (kept) => {
        const last = drag.value
        drag.value = null
        if (far) addEventListener('click', (click) => click.stopPropagation(), { capture: true, once: true })
        if (kept && last && moves) place(moves, last.left, last.floor)
      },
    )
  }

  function nudge(one: SurfaceLine, event: KeyboardEvent): boolean {
    const steps: Record<string, [number, number]> = {
      ArrowLeft: [-1, 0],
      ArrowRight: [1, 0],
      ArrowUp: [0, 1],
      ArrowDown: [0, -1],
    }
    const step = steps[event.key]
    if (!step || !arranging()) return false
    const by = event.shiftKey ? 100 : STEP_MM
    place(one, one.left_mm + step[0] * by, one.floor_mm + step[1] * by)
    return true
  }

  return { drag, start, nudge }
}
