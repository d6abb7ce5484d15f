import { describe, expect, it } from 'vitest'
import { placeLabels, type Box } from './labels'

const face = (x: number, y: number, width = 40, height = 30): Box => ({ x, y, width, height })

describe('names on the Elevation', () => {
  it('stand under their surface where nothing is in the way', () => {
    expect(placeLabels([face(0, 0), face(200, 0)], [80, 80]).map(({ x, y }) => [x, y])).toEqual([
      [0, 34],
      [200, 34],
    ])
  })
  it('end where the drawing ends, and still cover nothing', () => {
    const faces = [face(0, 0), face(60, 0), face(120, 0)]
    const all = placeLabels(faces, [90, 90, 90], 170)
    expect(all.map(({ x, y }) => [x, y])).toEqual([
      [0, 34],
      [60, -36],
      [80, 66],
    ])
  })
  it('cover neither each other nor a surface', () => {
    const faces = [face(0, 100), face(50, 100), face(100, 100), face(20, 180)]
    const all = [...placeLabels(faces, [90, 90, 90, 90]), ...faces]
    const apart = (a: Box, b: Box) =>
      a.x >= b.x + b.width || b.x >= a.x + a.width || a.y >= b.y + b.height || b.y >= a.y + a.height
    all.forEach((a, i) => all.slice(i + 1).forEach((b) => expect(apart(a, b), JSON.stringify([a, b])).toBe(true)))
  })
})
