import { reactive } from 'vue'
import { followPointer } from '../../ui/followPointer'
import { useGlazing } from '../store/useGlazing'

/** A zone whose letter is dragged onto another: the two show each other's content. */
export const swapping = reactive<{ from: string | null; over: string | null }>({ from: null, over: null })

const SLACK_SCREEN_PX = 4

export function useSwap(): (zone: string, event: PointerEvent) => void {
  const glazing = useGlazing()
  return (zone, event) => {
    if (event.button !== 0) return
    event.preventDefault()
    event.stopPropagation()
    const [x, y] = [event.clientX, event.clientY]
    followPointer(
      (moved) => {
        if (Math.hypot(moved.clientX - x, moved.clientY - y) < SLACK_SCREEN_PX) return
        const under = document
          .elementsFromPoint(moved.clientX, moved.clientY)
          .find((one): one is HTMLElement => one instanceof HTMLElement && one.dataset['pane'] !== undefined)
        const over = under?.dataset['pane'] ?? null
        Object.assign(swapping, { from: zone, over: over === zone ? null : over })
      },
      (kept) => {
        const over = swapping.over
        Object.assign(swapping, { from: null, over: null })
        if (kept && over) void glazing.swap(zone, over)
      },
    )
  }
}
