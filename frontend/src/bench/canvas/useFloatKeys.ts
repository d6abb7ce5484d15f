import type { ZonePlan } from '../../plan/types'
import { useDesign } from '../store/design'
import { useFloats } from '../store/useFloats'

/** What keys do to the chosen floats while one of them has the focus. */
export function useFloatKeys(): (plan: ZonePlan, event: KeyboardEvent) => void {
  const design = useDesign()
  const floats = useFloats()
  const STEPS: Record<string, [number, number]> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
  }

  return (plan, event) => {
    const chosen = design.chosen.includes(plan.id) ? design.chosen : [plan.id]
    const zones = chosen.filter((one) => !floats.locked(one))
    const step = STEPS[event.key]
    const far = event.shiftKey ? 10 : 1
    const plain = !event.ctrlKey && !event.metaKey && !event.altKey
    const acts: Record<string, () => void> = {
      Delete: () => void floats.remove(zones),
      Backspace: () => void floats.remove(zones),
      '[': () => void floats.order(plan.id, -1),
      ']': () => void floats.order(plan.id, 1),
      PageDown: () => void floats.order(plan.id, -1),
      PageUp: () => void floats.order(plan.id, 1),
    }
    const act =
      (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'd'
        ? () => void floats.duplicate(zones)
        : plain && step
          ? () => void floats.nudge(zones, step[0] * far, step[1] * far)
          : plain
            ? acts[event.key]
            : undefined
    if (!act) return
    event.preventDefault()
    event.stopPropagation()
    act()
  }
}
