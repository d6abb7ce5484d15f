import { showingOf, type InTime, type Showing } from '../../plan/phase'
import type { ZonePlan } from '../../plan/types'
import { useDesign } from '../store/design'

/** What a zone of the open scene shows t ms after the scene began, alone or in step with its leader. */
export function useTurns(): (plan: ZonePlan, tMs: number) => Showing | null {
  const design = useDesign()
  const inTime = (plan: ZonePlan, tMs: number): InTime => ({ plan, tMs, hours: design.documents[plan.id]?.hours })
  return (plan, tMs) => {
    const leader = plan.follows && design.zones[plan.follows.zone]
    return showingOf(inTime(plan, tMs), leader && inTime(leader, tMs), design.beganMs + tMs)
  }
}
