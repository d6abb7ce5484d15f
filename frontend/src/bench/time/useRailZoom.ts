import { computed, nextTick, ref, type Ref } from 'vue'

const STEP = 1.5
/** So little of it is shown at most enlarged. */
const LEAST_MS = 2000

/** How large the rail shows time: whole, or so many times as large, and then it is scrolled. */
export function useRailZoom(room: Ref<HTMLElement | undefined>, spanMs: () => number) {
  const own = ref(1)
  const most = computed(() => Math.max(1, spanMs() / LEAST_MS))
  const times = computed(() => Math.min(most.value, own.value))

  /** The place under the pointer stays there. */
  async function zoom(wanted: number, clientX?: number): Promise<void> {
    const box = room.value
    if (!box) return
    const at = clientX === undefined ? box.clientWidth / 2 : clientX - box.getBoundingClientRect().left
    const place = (box.scrollLeft + at) / times.value
    own.value = Math.min(most.value, Math.max(1, wanted))
    await nextTick()
    box.scrollLeft = place * times.value - at
  }
  function wheel(event: WheelEvent): void {
    if (!event.ctrlKey) return
    event.preventDefault()
    void zoom(times.value * Math.exp(-event.deltaY / 300), event.clientX)
  }
  /** Keeps an instant in view. */
  function follow(share: number): void {
    const box = room.value
    if (!box || times.value === 1) return
    const x = share * box.clientWidth * times.value
    if (x < box.scrollLeft || x > box.scrollLeft + box.clientWidth) box.scrollLeft = x - box.clientWidth / 2
  }
  return {
    times,
    most,
    wheel,
    follow,
    whole: () => zoom(1),
    nearer: () => zoom(times.value * STEP),
    farther: () => zoom(times.value / STEP),
  }
}
