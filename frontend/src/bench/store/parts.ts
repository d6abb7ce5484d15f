import type { BenchView, Halves } from '../../api/types'

/**
 * The part that holds a zone's length along an axis: itself, or the split around it; null when that is the whole
 * canvas. A look-up, no arithmetic.
 */
export function partAlong(view: BenchView, zone: string, axis: 'x' | 'y'): string | null {
  let id = zone
  for (let part = view.parts[id]; part; part = view.parts[id]) {
    if (part.axis === axis) return id
    id = part.split
  }
  return null
}

/** Where a pane is halved. A pane that is the whole canvas is no part of a split. */
export const halvesOf = (view: BenchView, zone: string): Halves => view.parts[zone]?.halves ?? view.root
