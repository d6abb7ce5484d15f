import { shallowRef } from 'vue'
import type { BenchView, Mullion } from '../api/types'
import { followPointer } from '../ui/followPointer'

const SNAP_SCREEN_PX = 8

export interface Drag { mullion: Mullion; at: number; alone: boolean }

/** Dragging a mullion: a snapshot on entry, recomputed from it on every move, cancelled by Escape. The limits came with the plan. */
export function useMullionDrag(view: () => BenchView, scale: () => number, done: (mullion: Mullion, at: number, alone: boolean) => void) {
  const drag = shallowRef<Drag | null>(null)

  function limits(mullion: Mullion, alone: boolean): [number, number] {
    return alone ? mullion.range : mullion.linked_range
  }

  function snap(mullion: Mullion, at: number): { at: number; kind: string } {
    const lines = [...view().snaps[mullion.axis], ...view().mullions.filter((line) => line.axis === mullion.axis && !mullion.linked.includes(line.after)).map((line) => ({ at: line.at, kind: 'line' }))]
    const near = lines.filter((line) => Math.abs(line.at - at) * scale() <= SNAP_SCREEN_PX)
    const best = near.find((line) => line.kind === 'seam') ?? near.sort((a, b) => Math.abs(a.at - at) - Math.abs(b.at - at))[0]
    return best ?? { at, kind: '' }
  }

  function start(mullion: Mullion, event: PointerEvent): void {
    const origin = mullion.axis === 'x' ? event.clientX : event.clientY
    followPointer((moved) => {
      const raw = Math.round(mullion.at + ((mullion.axis === 'x' ? moved.clientX : moved.clientY) - origin) / scale())
      const [least, most] = limits(mullion, moved.altKey)
      const snapped = moved.ctrlKey ? { at: raw, kind: '' } : snap(mullion, raw)
      const at = Math.max(least, Math.min(most, snapped.at))
      if (drag.value?.at !== at || drag.value.alone !== moved.altKey) drag.value = { mullion, at, alone: moved.altKey }
    }, (kept) => {
      const last = drag.value
      drag.value = null
      if (kept && last && last.at !== mullion.at) done(mullion, last.at, last.alone)
    })
  }

  function nudge(mullion: Mullion, by: number, alone: boolean): void {
    const [least, most] = limits(mullion, alone)
    const at = Math.max(least, Math.min(most, mullion.at + by))
    if (at !== mullion.at) done(mullion, at, alone)
  }

  return { drag, start, nudge }
}
