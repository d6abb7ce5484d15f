import { shallowRef } from 'vue'
import type { Rect } from '../../plan/types'
import { followPointer } from '../../ui/followPointer'
import { useDesign } from '../store/design'
import { boxOf, moved, pulled, turnTowards, type Handle, type Point } from './floatGeometry'
import { snapBox, type Guide } from './snapBox'
import { useFloats } from '../store/useFloats'

export interface FloatDrag {
  rects: Record<string, Rect>
  turns: Record<string, number>
  guides: Guide[]
  what: 'move' | 'size' | 'turn'
  copies: boolean
}

const TURN_STEP = 1500
const SLACK_SCREEN_PX = 3

/**
 * Dragging floats: a snapshot on entry, recomputed from it on every move, given up by Escape; nothing is sent before
 * the pointer is let go. Ctrl frees from snap lines and whole steps, Alt leaves the originals and makes
 * copies, Shift frees or keeps the ratio.
 */
export function useFloatDrag(scale: () => number, toCanvas: (event: PointerEvent) => Point) {
  const design = useDesign()
  const floats = useFloats()
  const drag = shallowRef<FloatDrag | null>(null)

  function follow(
    event: PointerEvent,
    next: (moved: PointerEvent, by: Point) => FloatDrag,
    keep: (last: FloatDrag) => void,
  ): void {
    const [fromX, fromY] = [event.clientX, event.clientY]
    let begun = false
    followPointer(
      (pointer) => {
        const [x, y] = [pointer.clientX - fromX, pointer.clientY - fromY]
        begun ||= Math.hypot(x, y) > SLACK_SCREEN_PX
        if (begun) drag.value = next(pointer, { x: x / scale(), y: y / scale() })
      },
      (kept) => {
        const last = drag.value
        drag.value = null
        if (kept && last) keep(last)
      },
    )
  }

  /** All chosen floats, by the one under the pointer. */
  function move(zone: string, event: PointerEvent): void {
    const zones = (design.chosen.includes(zone) ? design.chosen : [zone]).filter((one) => !floats.locked(one))
    if (!zones.includes(zone)) return
    const old = floats.rectsOf(zones)
    const box = boxOf(old[zone] ?? [0, 0, 1, 1], design.zones[zone]?.turn ?? 0)
    follow(
      event,
      (pointer, raw) => {
        const by = { x: Math.round(raw.x), y: Math.round(raw.y) }
        const snap = pointer.ctrlKey
          ? { by: [0, 0], guides: [] }
          : snapBox(design.bench.snaps, moved(box, by), scale(), pointer.altKey ? [] : zones)
        const total = { x: by.x + (snap.by[0] ?? 0), y: by.y + (snap.by[1] ?? 0) }
        const rects = Object.fromEntries(Object.entries(old).map(([id, rect]) => [id, moved(rect, total)]))
        return { rects, turns: {}, guides: snap.guides, what: 'move', copies: pointer.altKey }
      },
      (last) => void (last.copies ? floats.copy(last.rects) : floats.lay(last.rects)),
    )
  }

  function size(zone: string, handle: Handle, event: PointerEvent): void {
    const plan = design.zones[zone]
    if (!plan) return
    const kind = design.documents[zone]?.fill.kind
    const locked = kind === 'picture' || kind === 'video'
    follow(
      event,
      (pointer, by) => {
        let rect = pulled(plan.rect, plan.turn, handle, by, locked !== pointer.shiftKey)
        let guides: Guide[] = []
        if (plan.turn === 0 && !pointer.ctrlKey) {
          const edge: Rect = [
            handle.x > 0 ? rect[0] + rect[2] : rect[0],
            handle.y > 0 ? rect[1] + rect[3] : rect[1],
            0,
            0,
          ]
          const snap = snapBox(design.bench.snaps, edge, scale(), [zone])
          guides = snap.guides.filter((guide) => handle[guide.axis] !== 0)
          const pull = { x: handle.x === 0 ? 0 : snap.by[0], y: handle.y === 0 ? 0 : snap.by[1] }
          rect = pulled(plan.rect, 0, handle, { x: by.x + pull.x, y: by.y + pull.y }, locked !== pointer.shiftKey)
        }
        return { rects: { [zone]: rect }, turns: {}, guides, what: 'size', copies: false }
      },
      (last) => void floats.lay(last.rects),
    )
  }

  function turn(zone: string, event: PointerEvent): void {
    const plan = design.zones[zone]
    if (!plan) return
    follow(
      event,
      (pointer) => ({
        rects: {},
        turns: { [zone]: turnTowards(plan.rect, toCanvas(pointer), pointer.ctrlKey ? 1 : TURN_STEP) },
        guides: [],
        what: 'turn',
        copies: false,
      }),
      (last) => void floats.turn(zone, last.turns[zone] ?? 0),
    )
  }

  return { drag, move, size, turn }
}
