import { useIntervalFn } from '@vueuse/core'

const EVERY_MS = 3000

/** Looks for others' changes again and again while the page is seen, so that open pages hear of each other. */
export function useListening(listen: () => Promise<void>): void {
  let asking = false
  useIntervalFn(() => {
    if (asking || document.hidden) return
    asking = true
    void listen().finally(() => (asking = false))
  }, EVERY_MS)
}
