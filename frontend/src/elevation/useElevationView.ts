import { useElementSize } from '@vueuse/core'
import { computed, ref, type Ref } from 'vue'

export const MARGIN_PX = 40
const CLOSEST = 4

/** What part of the wall is seen: screen px per mm, and where the wall's left end and its floor lie on the screen. */
export function useElevationView(
  room: Ref<HTMLElement | undefined>,
  extent: () => { left: number; right: number; top: number },
) {
  const { width, height } = useElementSize(room)
  const own = ref<{ scale: number; x: number; floor: number } | null>(null)
  const fitted = computed(() => {
    const { left, right, top } = extent()
    const scale = Math.max(
      0.002,
      Math.min((width.value - 2 * MARGIN_PX) / (right - left), (height.value - 2.5 * MARGIN_PX) / top),
    )
    const spare = Math.max(0, height.value - top * scale)
    return {
      scale,
      x: (width.value - (right + left) * scale) / 2,
      floor: height.value - Math.max(1.6 * MARGIN_PX, spare * 0.4),
    }
  })
  const view = computed(() => own.value ?? fitted.value)

  function zoom(factor: number, x = width.value / 2, y = height.value / 2): void {
    const now = view.value
    const scale = Math.min(CLOSEST, Math.max(fitted.value.scale / 4, now.scale * factor))
    const by = scale / now.scale
    own.value = { scale, x: x - (x - now.x) * by, floor: y - (y - now.floor) * by }
  }
  const pan = (byX: number, byY: number): void =>
    void (own.value = { ...view.value, x: view.value.x + byX, floor: view.value.floor + byY })
  const fit = (): void => void (own.value = null)

  return {
    view,
    zoom,
    pan,
    fit,
    isFitted: computed(() => own.value === null),
    ready: computed(() => width.value > 0),
    width,
    height,
  }
}
