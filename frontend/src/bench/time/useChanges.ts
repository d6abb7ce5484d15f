import type { Showing } from '../../plan/phase'
import { useTurns } from './useTurns'
import { useDesign } from '../store/design'

/** When anything in the open scene is next another, and was before; counted from the scene's beginning. */
export function useChanges(): { next: (tMs: number) => number | null; previous: (tMs: number) => number | null } {
  const design = useDesign()
  const turn = useTurns()
  const turns = (tMs: number): Showing[] => design.plans.flatMap((plan) => turn(plan, tMs) ?? [])
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
