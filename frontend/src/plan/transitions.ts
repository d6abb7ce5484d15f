import type { Transition } from './types'

/** How far something has entered, 0 to 1, as its element shows it; null: it is there at once. */
type Enter = (element: HTMLElement, share: number) => void

/** One for each kind: a new one does not compile without. What leaves is held underneath meanwhile. */
const ENTER: Record<Transition['kind'], Enter | null> = {
  cut: null,
  fade: (element, share) => (element.style.opacity = share < 1 ? String(share) : ''),
}

/** For how many ms something enters; 0 where it is there at once. */
export const entersForMs = (transition: Transition | undefined, enters: boolean): number =>
  transition && enters && ENTER[transition.kind] ? transition.ms : 0

/** Shows how far it has entered; wholly where it takes no time. */
export function enter(element: HTMLElement, transition: Transition | undefined, sinceMs: number, forMs: number): void {
  const share = forMs > 0 ? Math.min(1, sinceMs / forMs) : 1
  if (transition) ENTER[transition.kind]?.(element, share)
  if (share === 1) element.style.opacity = ''
}
