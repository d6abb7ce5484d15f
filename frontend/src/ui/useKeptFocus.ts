import { useEventListener, useMutationObserver } from '@vueuse/core'
import type { Ref } from 'vue'

/** Where work goes on when what had the focus is gone: the chosen thing of the place, else its heading. */
const CHOSEN = '.pane.chosen .pane-face, .surface-face[aria-pressed="true"]'

/**
 * Keeps the focus in the place: when the button that was pressed goes away with what it did, the focus goes to what the
 * work is about instead of falling to the page's beginning; to the heading for as long as that is not there yet.
 */
export function useKeptFocus(place: Ref<HTMLElement | null>): void {
  let last: Element | null = null
  let heading: HTMLElement | null = null
  useEventListener(document, 'focusin', ({ target }) => void (last = target instanceof Element ? target : null))
  useMutationObserver(
    place,
    () => {
      const lost = document.activeElement === document.body && last !== null && !last.isConnected
      const waiting = heading !== null && document.activeElement === heading
      if (!lost && !waiting) return
      const chosen = place.value?.querySelector<HTMLElement>(CHOSEN)
      if (chosen) chosen.focus({ preventScroll: true })
      else if (lost) {
        heading = place.value?.querySelector('h1') ?? null
        heading?.setAttribute('tabindex', '-1')
        heading?.focus({ preventScroll: true })
      }
    },
    { childList: true, subtree: true },
  )
}
