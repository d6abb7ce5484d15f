import { describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import type { Figures } from '../api/surfaces'
import { useNewShape } from './useNewShape'

const known: Figures = { native: [960, 96], active_mm: [5760, 576], pitch_mm: [6, 6] }

describe('a new surface while it is described', () => {
  it('is nothing until the figures are known, then a panel mounted as chosen', () => {
    const { way, figures, rotation, shape } = useNewShape()
    way.value = 'numbers'
    expect(shape.value).toBeNull()
    figures.value = known
    rotation.value = 90
    expect(shape.value).toEqual({ panels: [{ native: [960, 96], active_mm: [5760, 576], rotation: 90 }] })
  })

  it('keeps what was typed from way to way, and takes a mode along where nothing was typed', async () => {
    const { way, mode, typed } = useNewShape()
    mode.value = '3840 2160'
    way.value = 'numbers'
    await nextTick()
    expect([typed.width, typed.height]).toEqual([3840, 2160])
    typed.width = 250
    way.value = 'mode'
    await nextTick()
    way.value = 'wall'
    await nextTick()
    expect(typed.width).toBe(250)
  })

  it('puts the panel into the wall, bezels and all, and lets a free arrangement stand alone', () => {
    const { way, figures, wall, free, shape } = useNewShape()
    way.value = 'wall'
    figures.value = known
    wall.value = {
      mode: 'butted',
      grid: { columns: 2, rows: 1, panel: { native: [0, 0], active_mm: [0, 0], bezel_mm: [1, 2, 3, 4] } },
    }
    expect(shape.value).toEqual({
      mode: 'butted',
      grid: { columns: 2, rows: 1, panel: { native: [960, 96], active_mm: [5760, 576], bezel_mm: [1, 2, 3, 4] } },
    })
    free.value = { panels: [{ native: [1, 1], active_mm: [1, 1], position_mm: [0, 0] }], mode: 'compensated' }
    expect(shape.value).toEqual(free.value)
  })

  it('takes the size of a display that says it, and leaves what was measured where it does not', async () => {
    const { edid, typed } = useNewShape()
    typed.mmWidth = 500
    const said = {
      maker: 'TST',
      product: 1,
      name: '',
      native: [1, 1] as [number, number],
      refresh_hz: 60,
      size_from: null,
      version: '1.4',
      findings: [],
    }
    edid.value = { ...said, active_mm: null }
    await nextTick()
    expect(typed.mmWidth).toBe(500)
    edid.value = { ...said, active_mm: [1209, 680] }
    await nextTick()
    expect([typed.mmWidth, typed.mmHeight]).toEqual([1209, 680])
  })
})
