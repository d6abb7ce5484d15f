import { ref, watch, type Ref } from 'vue'

/**
 * What stands in a field: what is kept, until the person changes it; then it is theirs, whatever is answered meanwhile,
 * until it is sent or given up.
 */
export function useTyped(kept: () => string): {
  typed: Ref<string>
  enter: (event: FocusEvent) => void
  leave: () => void
  reset: () => void
} {
  const typed = ref(kept())
  let inside = false
  watch(kept, (now, before) => {
    if (!inside || typed.value === before) typed.value = now
  })
  const reset = (): void => void (typed.value = kept())
  return {
    typed,
    enter: (event) => {
      inside = true
      // Whoever comes to a number means to write it anew.
      ;(event.target as HTMLInputElement).select()
    },
    leave: () => (inside = false),
    reset,
  }
}
