import { computed, type ComputedRef } from 'vue'
import type { ZonePlan } from '../../plan/types'
import { useDesign } from '../store/design'

interface Lane {
  plan: ZonePlan
  /** One bracket joins the lanes of a group, its leader's first. */
  group: 'first' | 'middle' | 'last' | null
}

/** The lanes of the open scene in reading order, those in step right after the one that leads them. */
export function useLanes(): ComputedRef<Lane[]> {
  const design = useDesign()
  return computed(() => {
    const followers = (leader: ZonePlan): ZonePlan[] => design.plans.filter((one) => one.follows?.zone === leader.id)
    return design.plans
      .filter((one) => !one.follows)
      .flatMap((leader): Lane[] => {
        const group = [leader, ...followers(leader)]
        return group.map((plan, index) => ({
          plan,
          group: group.length < 2 ? null : index === 0 ? 'first' : index === group.length - 1 ? 'last' : 'middle',
        }))
      })
  })
}
