import { onMounted, watch, type ShallowRef } from 'vue'
import { loadFace } from '../plan/faces'
import { Stage } from '../plan/stage'
import type { DatedPlan } from '../plan/types'

/** Draws a plan into an element at an instant, and anew when either changes. */
export function usePlanStage(
  root: Readonly<ShallowRef<HTMLElement | null>>,
  plan: () => DatedPlan,
  tMs: () => number,
): void {
  let stage: Stage | null = null
  const draw = (): void => void stage?.at(tMs(), plan().dates.now_ms + tMs(), false)
  async function show(): Promise<void> {
    await Promise.all(plan().fonts.map((face) => loadFace(face))).catch(() => undefined)
    stage?.show(plan())
    draw()
  }
  onMounted(() => {
    if (root.value) stage = new Stage(root.value, (sha256) => `/media/${sha256}/original`)
    void show()
  })
  watch(plan, show)
  watch(tMs, draw)
}
