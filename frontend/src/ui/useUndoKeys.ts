import { useEventListener } from '@vueuse/core'

/** Ctrl+Z and Ctrl+Shift+Z of a whole place; while someone types, they are the field's own. */
export function useUndoKeys(step: (kind: 'undo' | 'redo') => void): void {
  useEventListener('keydown', (event: KeyboardEvent) => {
    const typing =
      event.target instanceof HTMLElement &&
      event.target.matches('input:not([type=checkbox]):not([type=radio]), textarea, [contenteditable]')
    if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z' || typing) return
    event.preventDefault()
    step(event.shiftKey ? 'redo' : 'undo')
  })
}
