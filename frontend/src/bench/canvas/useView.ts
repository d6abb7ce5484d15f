import { useElementBounding, useElementSize } from '@vueuse/core'
import { computed, nextTick, ref, watch, type Ref } from 'vue'
import type { Rect } from '../../plan/types'
import { followPointer } from '../../ui/followPointer'
import { useDrawing, type View } from './drawing'

const MARGIN_PX = 56
const CLOSEST = 16
const FARTHEST = 0.02
const FITTED_MOST = 4
const STEP = 1.25

/**
 * How the canvas lies in its room: fitted, at true pixels, or as somebody zoomed. Screen px per canvas px. What is
 * larger than the room is scrolled: by wheel, by the middle button, or with Space held.
 */
export function useView(room: Ref<HTMLElement | undefined>, canvas: () => [number, number]) {
  const drawing = useDrawing()
  const { width, height } = useElementSize(room)
  const own = ref<number | null>(null)
  const fitted = computed(() =>
    Math.max(
      FARTHEST,
      Math.min(FITTED_MOST, (width.value - 2 * MARGIN_PX) / canvas()[0], (height.value - 2 * MARGIN_PX) / canvas()[1]),
    ),
  )
  const scale = computed(() => own.value ?? fitted.value)
  const { x, y } = useElementBounding(room)
  /** Where it begins on whole px of the screen: between them, everything would be blurred. */
  const begins = (from: number, length: number): number =>
    Math.round((from + Math.max(MARGIN_PX, length / 2)) / whole()) * whole() - from
  const left = computed(() => begins(x.value, width.value - canvas()[0] * scale.value))
  const top = computed(() => begins(y.value, height.value - canvas()[1] * scale.value))
  const whole = (): number => 1 / (globalThis.devicePixelRatio || 1)

  /** A point of the canvas comes to lie at a point of the room. */
  async function put(wanted: number | null, point: [number, number], at: [number, number]): Promise<void> {
    own.value = wanted === null ? null : Math.min(CLOSEST, Math.max(FARTHEST, wanted))
    await nextTick()
    room.value?.scrollTo(left.value + point[0] * scale.value - at[0], top.value + point[1] * scale.value - at[1])
  }
  const middle = (): [number, number] => [width.value / 2, height.value / 2]
  const under = ([x, y]: [number, number]): [number, number] => [
    (x + (room.value?.scrollLeft ?? 0) - left.value) / scale.value,
    (y + (room.value?.scrollTop ?? 0) - top.value) / scale.value,
  ]
  const zoom = (wanted: number, at = middle()): void => void put(wanted, under(at), at)
  const view: View = {
    fit: () => void put(null, [0, 0], [MARGIN_PX, MARGIN_PX]),
    actual: () => void put(whole(), [0, 0], [MARGIN_PX, MARGIN_PX]),
    to: (wanted) => zoom(wanted),
    by: (factor) => zoom(scale.value * factor),
    around: ([x, y, wide, high]: Rect) => {
      const wanted = Math.min((width.value - 2 * MARGIN_PX) / wide, (height.value - 2 * MARGIN_PX) / high)
      void put(wanted, [x + wide / 2, y + high / 2], middle())
    },
  }

  function wheel(event: WheelEvent): void {
    if (!event.ctrlKey || !room.value) return
    event.preventDefault()
    const bounds = room.value.getBoundingClientRect()
    zoom(scale.value * Math.exp(-event.deltaY / 500), [event.clientX - bounds.left, event.clientY - bounds.top])
  }
  /** Drags the sheet about; true when it was moved. */
  function pan(event: PointerEvent, done: (moved: boolean) => void = () => undefined): void {
    const [x, y] = [event.clientX, event.clientY]
    const from = [room.value?.scrollLeft ?? 0, room.value?.scrollTop ?? 0] as const
    let moved = false
    event.preventDefault()
    event.stopPropagation()
    followPointer(
      (pointer) => {
        moved = true
        room.value?.scrollTo(from[0] - pointer.clientX + x, from[1] - pointer.clientY + y)
      },
      () => done(moved),
    )
  }
  watch(
    [scale, own],
    () => {
      drawing.scale = scale.value
      drawing.mode = own.value === null ? 'fit' : own.value === whole() ? 'true' : 'free'
    },
    { immediate: true },
  )
  drawing.view = view
  return { scale, left, top, view, wheel, pan, step: STEP, ready: computed(() => width.value > 0) }
}
