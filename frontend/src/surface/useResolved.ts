import { ref, shallowRef, watch } from 'vue'
import { call } from '../api/client'
import type { PanelShape, Resolved, Shape } from '../api/surfaces'

/** A shape as the core resolves it while it is being described; the last good one stays while something is wrong. */
export function useResolved(shape: () => Shape | null) {
  const resolved = shallowRef<Resolved | null>(null)
  const error = ref<unknown>(null)
  let asked = 0

  watch(
    shape,
    async (next) => {
      const mine = ++asked
      error.value = null
      if (!next) {
        resolved.value = null
        return
      }
      try {
        const answer = await call<Resolved>('POST', '/api/shapes', next)
        if (mine === asked) resolved.value = answer
      } catch (refused) {
        if (mine === asked) error.value = refused
      }
    },
    { immediate: true, deep: true },
  )

  return { resolved, error }
}

/** A grid as the free arrangement it stands in: every panel where the core put it. */
export function freed(shape: Shape, resolved: Resolved): Shape {
  const own = shape.grid?.panel
  const panels: PanelShape[] = resolved.panels.map((panel) => ({
    id: panel.id,
    native: panel.native,
    active_mm: own?.active_mm ?? [0, 0],
    bezel_mm: own?.bezel_mm ?? [0, 0, 0, 0],
    rotation: panel.rotation,
    position_mm: [panel.face_um[0] / 1000, panel.face_um[1] / 1000],
  }))
  return { panels, mode: 'compensated' }
}

/** The arrangement with one panel moved. */
export const moved = (shape: Shape, id: string, byMm: [number, number]): Shape => ({
  ...shape,
  panels: (shape.panels ?? []).map((panel, index) =>
    (panel.id ?? String(index + 1)) === id
      ? { ...panel, position_mm: [(panel.position_mm?.[0] ?? 0) + byMm[0], (panel.position_mm?.[1] ?? 0) + byMm[1]] }
      : panel,
  ),
})
