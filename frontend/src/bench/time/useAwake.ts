import { onBeforeUnmount, ref, type Ref } from 'vue'

const REST_MS = 2000

/** Whether letters and sizes are wanted: while the pointer moves over the canvas, or as long as they are kept shown. */
export function useAwake(): { awake: Ref<boolean>; kept: Ref<boolean>; stir: () => void; leave: () => void } {
  const awake = ref(false)
  const kept = ref(false)
  let timer: ReturnType<typeof setTimeout> | undefined
  function stir(): void {
    awake.value = true
    clearTimeout(timer)
    timer = setTimeout(() => (awake.value = false), REST_MS)
  }
  function leave(): void {
    clearTimeout(timer)
    awake.value = false
  }
  onBeforeUnmount(() => clearTimeout(timer))
  return { awake, kept, stir, leave }
}
