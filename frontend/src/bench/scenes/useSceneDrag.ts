import { reactive } from 'vue'
import { followPointer } from '../../ui/followPointer'
import { useDesign } from '../store/design'

/** A sheet on its way along the frieze, and the sheet it would come to stand before; `end` is after the last. */
export const sorting = reactive<{ scene: string | null; before: string | null }>({ scene: null, before: null })

const SLACK_SCREEN_PX = 4

export function useSceneDrag(): (scene: string, event: PointerEvent) => void {
  const design = useDesign()
  return (scene, event) => {
    if (event.button !== 0) return
    const [x, y] = [event.clientX, event.clientY]
    const frieze = (event.currentTarget as HTMLElement).parentElement
    const sheets = [...(frieze?.querySelectorAll<HTMLElement>('[data-scene]') ?? [])]
    const order = sheets.map((sheet) => sheet.dataset['scene'] ?? '')
    /** The sheet under the pointer or the nearest: the one that moves takes its place, from whichever side it comes. */
    function goal(at: number): string | null {
      const away = (sheet: HTMLElement): number => {
        const box = sheet.getBoundingClientRect()
        return Math.abs(at - (box.left + box.right) / 2)
      }
      const nearest = sheets.reduce((best, sheet) => (away(sheet) < away(best) ? sheet : best))
      const to = sheets.indexOf(nearest)
      return (to > order.indexOf(scene) ? order[to + 1] : order[to]) ?? null
    }
    followPointer(
      (moved) => {
        if (sorting.scene === null && Math.hypot(moved.clientX - x, moved.clientY - y) < SLACK_SCREEN_PX) return
        Object.assign(sorting, { scene, before: goal(moved.clientX) ?? 'end' })
      },
      (kept) => {
        const { scene: moving, before } = sorting
        Object.assign(sorting, { scene: null, before: null })
        if (kept && moving !== null && before !== null && before !== moving)
          void design.moveScene(moving, before === 'end' ? null : before)
      },
    )
  }
}
