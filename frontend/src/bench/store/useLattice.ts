import { computed } from 'vue'
import { useDesign } from './design'
import { useDrawing } from '../canvas/drawing'

const LONG = 12
const SHORT = 8

/** The lattice of the layout on the bench, as columns and rows of what is seen. */
export function useLattice() {
  const design = useDesign()
  const drawing = useDrawing()
  const cells = computed<[number, number] | null>(() =>
    design.bench.lattice ? [design.bench.lattice.x.length - 1, design.bench.lattice.y.length - 1] : null,
  )
  async function set(wanted: [number, number] | null): Promise<boolean> {
    if (wanted === null) drawing.carving = false
    // It is kept for the design's own canvas.
    const own = wanted && design.layout === 'turned' ? [wanted[1], wanted[0]] : wanted
    return design.send([{ do: 'design.lattice', lattice: own }], 'lattice')
  }
  async function toggle(): Promise<void> {
    const [width, height] = design.answer?.canvas ?? [1, 1]
    if (!drawing.carving && !cells.value) await set(width >= height ? [LONG, SHORT] : [SHORT, LONG])
    drawing.carving = !drawing.carving && cells.value !== null
  }
  return { cells, set, toggle }
}
