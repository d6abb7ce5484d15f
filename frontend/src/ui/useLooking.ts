import { onMounted, onUnmounted, ref, type Ref } from 'vue'

/** Asks again and again while a place is open, the next time so long after the last answer; `load` asks at once. */
export function useLooking(
  ask: () => Promise<void>,
  everyMs: number,
): { error: Ref<unknown>; load: () => Promise<void> } {
  const error = ref<unknown>(null)
  let timer: ReturnType<typeof setTimeout> | undefined
  async function load(): Promise<void> {
    clearTimeout(timer)
    try {
      await ask()
      error.value = null
    } catch (refused) {
      error.value = refused
    }
    timer = setTimeout(() => void load(), everyMs)
  }
  onMounted(load)
  onUnmounted(() => clearTimeout(timer))
  return { error, load }
}
