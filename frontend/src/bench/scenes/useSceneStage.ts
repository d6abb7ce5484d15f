import { computed, type ComputedRef } from 'vue'
import type { Shown } from '../../plan/stage'
import type { ListHours } from '../../plan/types'
import { useDesign } from '../store/design'

/** The layout that is open, as the renderer takes it: one scene, begun anew only where it is all of the round. */
export function useSceneStage(): ComputedRef<Shown> {
  const design = useDesign()
  const hoursOf = (zones: string[]): Record<string, ListHours> =>
    Object.fromEntries(zones.flatMap((id) => (design.documents[id]?.hours ? [[id, design.documents[id].hours]] : [])))
  return computed(() => {
    const answer = design.answer
    const line = answer ? design.scenes[answer.scene] : undefined
    if (!answer || !line)
      return { canvas: [1, 1], scenes: {}, round: { scenes: [], cycle_ms: null }, dates: { days: [], offsets: [] } }
    const [first, ...others] = answer.round.scenes
    const again = first?.scene === answer.scene && others.length === 0 ? answer.round.cycle_ms : null
    const zones = design.layers.flatMap((id) => (design.zones[id]?.hidden ? [] : (design.zones[id] ?? [])))
    return {
      canvas: answer.canvas,
      scenes: {
        [answer.scene]: {
          name: line.name,
          ms: line.ms,
          transition: { kind: 'cut', ms: 0 },
          place: [0, 0, ...answer.canvas],
          ground: line.ground,
          mark: line.mark,
          zones,
        },
      },
      round: { scenes: [{ scene: answer.scene, ms: again }], cycle_ms: again },
      dates: { ...answer.dates, lists: hoursOf(zones.map((zone) => zone.id)) },
    }
  })
}
