import { useEventListener, useMutationObserver } from '@vueuse/core'
import type { Ref } from 'vue'

/** Where work goes on when what had the focus is gone: the chosen thing of the place, else its heading. */
const WORK = '.pane.chosen .pane-face, .surface-face[aria-pressed="true"], h1'

/**
 * Keeps the focus in the place: when the button that was pressed goes away with what it did, the focus goes to what the
 * work is about instead of falling to the page's beginning.
 */
export function useKeptFocus(place: Ref<HTMLElement | null>): void {
  let last: Element | null = null
  useEventListener(document, 'focusin', ({ target }) => void (last = target instanceof Element ? target : null))
  useMutationObserver(
    place,
    () => {
      const lost = document.activeElement === document.body && last !== null && !last.isConnected
      const next = lost ? place.value?.querySelector<HTMLElement>(WORK) : null
      if (!next) return
      if (next.tagName === 'H1') next.tabIndex = -1
      next.focus({ preventScroll: true })
    },
    { childList: true, subtree: true },
  )
}
