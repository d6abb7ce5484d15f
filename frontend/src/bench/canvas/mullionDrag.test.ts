import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { BenchView, Mullion, SnapLine } from '../../api/types'
import { useMullionDrag } from './useMullionDrag'

/** A window that hears events, and a pointer that is scripted. */
const heard = new EventTarget()
const pointer = (type: string, clientX: number, keys: Partial<PointerEvent> = {}): void =>
  void heard.dispatchEvent(
    Object.assign(new Event(type), { clientX, clientY: 0, altKey: false, ctrlKey: false, ...keys }),
  )
const press = (key: string): void => void heard.dispatchEvent(Object.assign(new Event('keydown'), { key }))

const line = (after: string, at: number, more: Partial<Mullion> = {}): Mullion => ({
  axis: 'x',
  at,
  gutter: 0,
  from: 0,
  to: 1080,
  start: 0,
  end: 1920,
  before: 'a',
  after,
  between: [['a'], [after]],
  range: [1, 1919],
  linked: [after],
  linked_range: [1, 1919],
  ...more,
})
const seam = (at: number): SnapLine => ({ at, kind: 'seam', rank: 0, after: null })
/** What the core gives: seams first, then lines of other panes, then thirds. */
const view = (mullions: Mullion[]): BenchView => ({
  mullions,
  parts: {},
  floats: {},
  guides: [],
  lattice: null,
  starters: [],
  root: { x: { at: 960, gutter: 0 }, y: { at: 540, gutter: 0 } },
  snaps: {
    x: [
      seam(640),
      seam(646),
      { at: 650, kind: 'third', rank: 3, after: null },
      ...mullions.filter(({ axis }) => axis === 'x').map(({ at, after }) => ({ at, kind: 'mullion', rank: 1, after })),
    ],
    y: [],
  },
})

/** Half a screen px per canvas px: the pointer's 1 px are 2 of the canvas. */
function drag(mullion: Mullion, others: Mullion[] = []) {
  const done = vi.fn()
  const made = useMullionDrag(
    () => view([mullion, ...others]),
    () => 0.5,
    done,
  )
  made.start(mullion, { clientX: 100, clientY: 0 } as PointerEvent)
  return { done, at: () => made.drag.value?.at, alone: () => made.drag.value?.alone }
}

describe('dragging a mullion', () => {
  beforeEach(() => {
    vi.stubGlobal('addEventListener', heard.addEventListener.bind(heard))
    vi.stubGlobal('removeEventListener', heard.removeEventListener.bind(heard))
  })
  afterEach(() => vi.unstubAllGlobals())

  it('follows the pointer from where the line was, and sends where it was let go', () => {
    const { done, at } = drag(line('b', 900))
    pointer('pointermove', 130)
    expect(at()).toBe(960)
    pointer('pointermove', 140)
    pointer('pointerup', 140)
    expect(done).toHaveBeenCalledExactlyOnceWith(expect.objectContaining({ after: 'b' }), 980, false)
    pointer('pointermove', 200)
    expect(at()).toBeUndefined()
  })

  it('snaps to the nearest seam before any other line, within 8 screen px, and not while Ctrl is held', () => {
    const { at } = drag(line('b', 700))
    pointer('pointermove', 76)
    expect(at()).toBe(646)
    pointer('pointermove', 71)
    expect(at()).toBe(640)
    pointer('pointermove', 76, { ctrlKey: true })
    expect(at()).toBe(652)
    pointer('pointermove', 90)
    expect(at()).toBe(680)
  })

  it('snaps to other lines of its direction, but not to those that move with it', () => {
    const { at } = drag(line('b', 900, { linked: ['b', 'd'] }), [
      line('c', 1000),
      line('d', 900),
      line('e', 1100, { axis: 'y' }),
    ])
    pointer('pointermove', 147)
    expect(at()).toBe(1000)
    pointer('pointermove', 101)
    expect(at()).toBe(902)
  })

  it('keeps the limits of all linked lines, and with Alt only its own', () => {
    const { at, alone } = drag(line('b', 900, { linked: ['b', 'd'], linked_range: [800, 1000] }))
    pointer('pointermove', 400)
    expect([at(), alone()]).toEqual([1000, false])
    pointer('pointermove', 400, { altKey: true })
    expect([at(), alone()]).toEqual([1500, true])
  })

  it('changes nothing after Escape, after the browser took the pointer away, or where it began', () => {
    for (const end of [
      () => press('Escape'),
      () => pointer('pointercancel', 150),
      () => [pointer('pointermove', 100), pointer('pointerup', 100)],
    ]) {
      const { done, at } = drag(line('b', 900))
      pointer('pointermove', 150)
      end()
      expect(at()).toBeUndefined()
      expect(done).not.toHaveBeenCalled()
    }
  })

  it('is nudged by keys within its limits', () => {
    const done = vi.fn()
    const { nudge } = useMullionDrag(
      () => view([]),
      () => 0.5,
      done,
    )
    nudge(line('b', 900), 10, false)
    nudge(line('b', 1918), 10, true)
    nudge(line('b', 1919), 10, true)
    expect(done.mock.calls.map(([, at, alone]) => [at, alone])).toEqual([
      [910, false],
      [1919, true],
    ])
  })
})
