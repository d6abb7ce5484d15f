import { describe, expect, it } from 'vitest'
import { enter, entersForMs, settle, TRANSITIONS } from './transitions'

const box = (): HTMLElement => ({ style: { opacity: '', transform: '', clipPath: '' } }) as unknown as HTMLElement
const settled = { opacity: '', transform: '', clipPath: '' }

describe('what enters', () => {
  it.each(TRANSITIONS.filter((kind) => kind !== 'cut'))(
    'comes by %s, bit by bit, and is wholly there at the end',
    (kind) => {
      const element = box()
      const transition = { kind, ms: 400 }
      const seen = [0, 100, 300].map((sinceMs) => {
        enter(element, transition, sinceMs, 400)
        return JSON.stringify(element.style)
      })
      expect(new Set([...seen, JSON.stringify(settled)]).size).toBe(4)
      enter(element, transition, 400, 400)
      expect(element.style).toEqual(settled)
    },
  )

  it('comes from the side that is said', () => {
    const element = box()
    enter(element, { kind: 'slide_from_right', ms: 400 }, 100, 400)
    expect(element.style.transform).toBe('translate(75%, 0%)')
    enter(element, { kind: 'slide_from_top', ms: 400 }, 300, 400)
    expect(element.style.transform).toBe('translate(0%, -25%)')
    settle(element)
    enter(element, { kind: 'wipe', ms: 400 }, 100, 400)
    expect(element.style.clipPath).toBe('inset(0 75% 0 0)')
  })

  it('is there at once by a cut, and as the first of all', () => {
    expect([
      entersForMs({ kind: 'cut', ms: 0 }, true),
      entersForMs({ kind: 'wipe', ms: 400 }, false),
      entersForMs({ kind: 'wipe', ms: 400 }, true),
    ]).toEqual([0, 0, 400])
  })
})
