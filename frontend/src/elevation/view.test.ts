import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import type { SurfaceLine } from '../api/surfaces'
import { useArrange } from './useArrange'
import { useElevationView } from './useElevationView'

vi.mock('@vueuse/core', () => ({ useElementSize: () => ({ width: ref(1000), height: ref(600) }) }))

describe('what part of the wall is seen', () => {
  const made = () => useElevationView(ref(undefined), () => ({ left: -900, right: 9100, top: 4000 }))

  it('shows all of it when fitted, the floor included', () => {
    const { view } = made()
    const { scale, x, floor } = view.value
    expect(x + -900 * scale).toBeGreaterThanOrEqual(0)
    expect(x + 9100 * scale).toBeLessThanOrEqual(1000)
    expect(floor).toBeLessThan(600)
    expect(floor - 4000 * scale).toBeGreaterThanOrEqual(0)
  })

  it('zooms about the pointer: what is under it stays under it', () => {
    const { view, zoom } = made()
    const under = (): [number, number] => [
      (300 - view.value.x) / view.value.scale,
      (200 - view.value.floor) / view.value.scale,
    ]
    const before = under()
    for (const factor of [1.25, 2, 0.7, 1.1]) zoom(factor, 300, 200)
    expect(under()[0]).toBeCloseTo(before[0], 6)
    expect(under()[1]).toBeCloseTo(before[1], 6)
  })

  it('has limits, pans by what it is told, and fits again', () => {
    const { view, zoom, pan, fit, isFitted } = made()
    const fitted = view.value
    for (let i = 0; i < 60; i++) zoom(2)
    expect(view.value.scale).toBe(4)
    for (let i = 0; i < 60; i++) zoom(0.5)
    expect(view.value.scale).toBeCloseTo(fitted.scale / 4)
    const { x, floor } = view.value
    pan(7, -5)
    expect([view.value.x - x, view.value.floor - floor]).toEqual([7, -5])
    expect(isFitted.value).toBe(false)
    fit()
    expect([view.value, isFitted.value]).toEqual([fitted, true])
  })
})

describe('arranging', () => {
  const heard = new EventTarget()
  const send = (type: string, more: object): void => void heard.dispatchEvent(Object.assign(new Event(type), more))
  const one = { code: 'hall', left_mm: 1000, floor_mm: 500 } as SurfaceLine
  beforeEach(() => {
    vi.stubGlobal('addEventListener', heard.addEventListener.bind(heard))
    vi.stubGlobal('removeEventListener', heard.removeEventListener.bind(heard))
  })
  afterEach(() => vi.unstubAllGlobals())
  function made(arranging: boolean) {
    const [pan, place] = [vi.fn(), vi.fn()]
    return {
      pan,
      place,
      ...useArrange(
        () => 0.1,
        () => arranging,
        pan,
        place,
      ),
    }
  }

  it('moves a surface in whole 10 mm, upwards as the pointer goes up, and only past a few px', () => {
    const { start, drag, place } = made(true)
    start({ button: 0, clientX: 100, clientY: 100 } as PointerEvent, one)
    send('pointermove', { clientX: 102, clientY: 101 })
    expect(drag.value).toBeNull()
    send('pointermove', { clientX: 150.7, clientY: 70 })
    expect(drag.value).toEqual({ code: 'hall', left: 1510, floor: 800 })
    send('pointerup', {})
    expect(place).toHaveBeenCalledExactlyOnceWith(one, 1510, 800)
  })

  it('moves the wall when nobody is arranging, and nothing with another button', () => {
    const { start, pan, place } = made(false)
    start({ button: 0, clientX: 100, clientY: 100 } as PointerEvent, one)
    send('pointermove', { clientX: 120, clientY: 100 })
    send('pointermove', { clientX: 125, clientY: 90 })
    send('pointerup', {})
    expect(pan.mock.calls).toEqual([
      [20, 0],
      [5, -10],
    ])
    start({ button: 2, clientX: 0, clientY: 0 } as PointerEvent, one)
    send('pointermove', { clientX: 99, clientY: 99 })
    expect([pan.mock.calls.length, place.mock.calls.length]).toEqual([2, 0])
  })

  it('gives up on Escape', () => {
    const { start, drag, place } = made(true)
    start({ button: 0, clientX: 0, clientY: 0 } as PointerEvent, one)
    send('pointermove', { clientX: 80, clientY: 0 })
    send('keydown', { key: 'Escape' })
    expect([drag.value, place.mock.calls.length]).toEqual([null, 0])
  })

  it('is nudged by arrows only while arranging', () => {
    const { nudge, place } = made(true)
    expect(nudge(one, { key: 'ArrowUp', shiftKey: true } as KeyboardEvent)).toBe(true)
    expect(nudge(one, { key: 'x' } as KeyboardEvent)).toBe(false)
    expect(made(false).nudge(one, { key: 'ArrowUp' } as KeyboardEvent)).toBe(false)
    expect(place.mock.calls).toEqual([[one, 1000, 600]])
  })
})
