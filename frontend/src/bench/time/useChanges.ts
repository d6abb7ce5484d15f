import type { ZonePlan } from '../../plan/types'
import { showingNow } from '../../plan/phase'
import { useDesign } from '../store/design'

interface Turn {
  sinceMs: number
  leftMs: number | null
}

/** When anything in the open scene is next another, and was before; counted from the scene's beginning. */
export function useChanges(): { next: (tMs: number) => number | null; previous: (tMs: number) => number | null } {
  const design = useDesign()
  const turn = (plan: ZonePlan, tMs: number): Turn | null =>
    showingNow(plan, design.documents[plan.id]?.hours, tMs, design.beganMs + tMs)
  const turns = (tMs: number): Turn[] => design.plans.flatMap((plan) => turn(plan, tMs) ?? [])
  return {
    next: (tMs) => {
      const left = turns(tMs).flatMap(({ leftMs }) => leftMs ?? [])
      return left.length ? tMs + Math.min(...left) : null
    },
    previous: (tMs) => {
      if (tMs <= 0) return null
      const since = turns(tMs - 1).flatMap(({ sinceMs, leftMs }) => (leftMs === null ? [] : [sinceMs + 1]))
      return since.length ? Math.max(0, tMs - Math.min(...since)) : 0
    },
  }
}
