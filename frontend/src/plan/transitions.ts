import type { Transition } from './types'

/** How far something has entered, 0 to 1, as its element shows it; null: it is there at once. */
type Enter = (element: HTMLElement, share: number) => void

const slide =
  (x: number, y: number): Enter =>
  (element, share) =>
    (element.style.transform = `translate(${x * (1 - share) * 100}%, ${y * (1 - share) * 100}%)`)

/** One for each kind: a new one does not compile without. What leaves is held underneath meanwhile. */
const ENTER: Record<Transition['kind'], Enter | null> = {
  cut: null,
  fade: (element, share) => (element.style.opacity = String(share)),
  slide_from_left: slide(-1, 0),
  slide_from_right: slide(1, 0),
  slide_from_top: slide(0, -1),
  slide_from_bottom: slide(0, 1),
  wipe: (element, share) => (element.style.clipPath = `inset(0 ${(1 - share) * 100}% 0 0)`),
}
/** All that there are, in the order in which they are offered. */
export const TRANSITIONS = Object.keys(ENTER) as Transition['kind'][]

/** For how many ms something enters; 0 where it is there at once. */
export const entersForMs = (transition: Transition | undefined, enters: boolean): number =>
  transition && enters && ENTER[transition.kind] ? transition.ms : 0

/** Wholly there, however it came. */
export function settle(element: HTMLElement): void {
  Object.assign(element.style, { opacity: '', transform: '', clipPath: '' })
}

/** Shows how far it has entered; wholly where it takes no time. */
export function enter(element: HTMLElement, transition: Transition | undefined, sinceMs: number, forMs: number): void {
  const share = forMs > 0 ? Math.min(1, sinceMs / forMs) : 1
  if (transition && share < 1) ENTER[transition.kind]?.(element, share)
  else settle(element)
}
