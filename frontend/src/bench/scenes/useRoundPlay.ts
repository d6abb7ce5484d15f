import { computed, shallowRef, watch, type Ref } from 'vue'
import { planOf } from '../../api/designs'
import { sceneAt } from '../../plan/phase'
import type { DatedPlan } from '../../plan/types'
import { useDesign } from '../store/design'

/**
 * The playhead of a design with several scenes counts from the start of the round. While it plays, the whole plan is
 * drawn; when it stands, the scene under it is opened.
 */
export function useRoundPlay(tMs: Ref<number>, playing: Ref<boolean>) {
  const design = useDesign()
  const plan = shallowRef<DatedPlan | null>(null)
  const round = computed(() => design.answer?.round ?? { scenes: [], cycle_ms: null })
  const many = computed(
    () => round.value.scenes.length > 1 && round.value.scenes.some((one) => one.scene === design.scene),
  )
  /** The plan while it plays, else null. */
  const drawn = computed(() => (playing.value && many.value ? plan.value : null))
  /** ms since the scene that is open began. */
  const inScene = computed(() => {
    if (!many.value) return tMs.value
    const now = sceneAt(round.value, tMs.value)
    return round.value.scenes[now.index]?.scene === design.scene ? now.sinceMs : 0
  })

  watch([playing, () => design.revision, () => design.id], async ([runs]) => {
    if (!runs || !many.value) return
    const asked = design.id
    const next = await planOf(asked)
    if (asked === design.id) plan.value = next
  })
  watch([playing, tMs], ([runs]) => {
    const now = round.value.scenes[sceneAt(round.value, tMs.value).index]?.scene
    if (!runs && many.value && now && now !== design.scene && design.layout === 'own') void design.show(now, 'own')
  })

  /** Where in the round a scene begins; null for one that is not in it. */
  function startOf(scene: string): number | null {
    let start = 0
    for (const one of round.value.scenes) {
      if (one.scene === scene) return start
      start += one.ms ?? 0
    }
    return null
  }

  /** The scene that shows while it plays. */
  const plays = computed(() =>
    playing.value
      ? many.value
        ? round.value.scenes[sceneAt(round.value, tMs.value).index]?.scene
        : design.scene
      : undefined,
  )

  return { drawn, inScene, many, plays, startOf }
}
