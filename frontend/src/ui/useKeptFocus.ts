import { useEventListener, useMutationObserver } from '@vueuse/core'
import type { Ref } from 'vue'
import { chosen, giveFocus } from './focus'

const FOCUSABLE = 'a, button, input, select, textarea, [tabindex]'

/**
 * Keeps the focus in the place: when the button that was pressed goes away or rests with what it did, the focus comes
 * back to it, or goes to what the work is about, instead of falling to the page's beginning; to the heading for as long
 * as nothing else is there. What an action says itself goes before ({@link goOn}).
 */
export function useKeptFocus(place: Ref<HTMLElement | null>): void {
  let last: HTMLElement | null = null
  let heading: HTMLElement | null = null
  useEventListener(document, 'focusin', ({ target }) => {
    last = target instanceof HTMLElement && !target.matches('.focus-holder') ? target : null
  })
  // Whoever clicks beside everything wants nothing to have it.
  useEventListener(document, 'pointerdown', ({ target }) => {
    if (target instanceof Element && !target.closest(FOCUSABLE)) last = null
  })
  function keep(): void {
    const lost = document.activeElement === document.body && last !== null
    const waiting = heading !== null && document.activeElement === heading
    if (!lost && !waiting) return
    if (lost && last?.isConnected && !last.matches(':disabled') && last.getClientRects().length > 0)
      return last.focus({ preventScroll: true })
    const work = place.value?.contains(chosen()) ? chosen() : null
    if (work) giveFocus(work)
    // A button that rests while its work is done comes back by itself.
    else if (lost && !last?.isConnected) {
      heading = place.value?.querySelector('h1') ?? null
      heading?.setAttribute('tabindex', '-1')
      heading?.focus({ preventScroll: true })
    }
  }
  useMutationObserver(
    place,
    () => {
      keep()
      // Browsers take the focus from what rests only when they draw next.
      if (last !== null && last === document.activeElement && last.matches(':disabled'))
        requestAnimationFrame(() => requestAnimationFrame(keep))
    },
    { childList: true, subtree: true, attributes: true, attributeFilter: ['disabled'] },
  )
}

/** Dialogs begin at their first field, or at their first button. */
export function useDialogFocus(): void {
  useEventListener(document, 'focusin', ({ target }) => {
    if (!(target instanceof HTMLElement) || !target.matches('.modal, .modal-dialog, .modal-content')) return
    const body = target.querySelector<HTMLElement>('.modal-body')
    const first = body?.querySelector<HTMLElement>(':is(input:not([type="hidden"]), textarea, select):not(:disabled)')
    ;(first ?? body?.querySelector<HTMLElement>('button:not(:disabled)'))?.focus()
    if (first instanceof HTMLInputElement && first.type !== 'file') first.select()
  })
  // Enter in a line does what the dialog is for, as in a form.
  useEventListener(document, 'keydown', (event) => {
    const line = event.target instanceof HTMLInputElement && event.target.closest('.modal-body') !== null
    if (event.key !== 'Enter' || event.defaultPrevented || !line || (event.target as HTMLInputElement).form) return
    event.preventDefault()
    ;(event.target as HTMLElement)
      .closest('.modal')
      ?.querySelector<HTMLElement>('.modal-footer .btn-primary:not(:disabled)')
      ?.click()
  })
}
