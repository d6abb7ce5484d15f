import { useElementSize } from '@vueuse/core'
import { computed, ref, watch, type Ref } from 'vue'

const MARGIN_PX = 44

/** How the canvas lies in its room: fitted, or at true pixels. Screen px per canvas px. */
export function useView(room: Ref<HTMLElement | undefined>, canvas: () => [number, number]) {
  const { width, height } = useElementSize(room)
  const trueSize = ref(false)
  const fitted = computed(() =>
    Math.max(0.02, Math.min((width.value - 2 * MARGIN_PX) / canvas()[0], (height.value - 2 * MARGIN_PX) / canvas()[1])),
  )
  const scale = computed(() => (trueSize.value ? 1 / (globalThis.devicePixelRatio || 1) : Math.min(fitted.value, 4)))
  const left = computed(() => Math.max(MARGIN_PX, (width.value - canvas()[0] * scale.value) / 2))
  const top = computed(() => Math.max(MARGIN_PX, (height.value - canvas()[1] * scale.value) / 2))
  watch(trueSize, () => room.value?.scrollTo(0, 0))
  return { scale, left, top, trueSize, ready: computed(() => width.value > 0) }
}
