import { computed, reactive, ref, watch } from 'vue'
import type { EdidAnswer, Figures, Pair, PanelShape, Shape } from '../api/surfaces'

type Way = 'mode' | 'numbers' | 'edid' | 'wall'
/** A panel's figures as typed; what is not a number stays as it was typed, for the server to say what is wrong. */
export type TypedFigures = Record<'width' | 'height' | 'pitch' | 'mmWidth' | 'mmHeight' | 'diagonal', number | null>

const NO_BEZEL: [number, number, number, number] = [0, 0, 0, 0]

/**
 * A new surface while it is being described, in any of the four ways. What was typed in one way is there in the others.
 */
export function useNewShape() {
  const way = ref<string>('mode' satisfies Way)
  const mode = ref('1920 1080')
  const edid = ref<EdidAnswer | null>(null)
  const typed = reactive<TypedFigures>({
    width: null,
    height: null,
    pitch: null,
    mmWidth: null,
    mmHeight: null,
    diagonal: null,
  })
  const figures = ref<Figures | null>(null)
  const rotation = ref(0)
  /** The wall's columns, rows, bezels and gaps; its panel's figures come from the fields. */
  const wall = ref<Shape>({
    mode: 'compensated',
    grid: { columns: 2, rows: 2, panel: { native: [0, 0], active_mm: [0, 0], bezel_mm: NO_BEZEL } },
  })
  /** The wall once its panels were arranged freely. */
  const free = ref<Shape | null>(null)

  const native = computed<Pair | null>(() => {
    if (way.value === 'mode') return mode.value.split(' ').map(Number) as Pair
    return way.value === 'edid' ? (edid.value?.native ?? null) : null
  })
  const shape = computed<Shape | null>(() => {
    if (way.value === 'wall' && free.value) return free.value
    if (!figures.value) return null
    const panel: PanelShape = { native: figures.value.native, active_mm: figures.value.active_mm }
    if (way.value !== 'wall') return { panels: [{ ...panel, rotation: rotation.value }] }
    const grid = wall.value.grid
    return grid ? { ...wall.value, grid: { ...grid, panel: { ...grid.panel, ...panel } } } : null
  })

  watch(way, (_, before) => {
    if (before === 'mode' && typed.width === null && typed.height === null)
      [typed.width, typed.height] = mode.value.split(' ').map(Number) as Pair
  })
  watch(edid, (read) => {
    if (read?.active_mm) [typed.mmWidth, typed.mmHeight, typed.pitch, typed.diagonal] = [...read.active_mm, null, null]
  })

  return { way, mode, edid, typed, figures, rotation, wall, free, native, shape }
}
