import type { Command } from '../../api/types'
import type { Unequal, ZonePlan } from '../../plan/types'
import { useDesign } from '../store/design'

/** How a zone goes: by itself from its scene's start or from midnight on, or in step with a zone. */
export function useGoing() {
  const design = useDesign()
  const follow = (zone: string, follows: ZonePlan['follows'] | null): Promise<boolean> =>
    design.send([{ do: 'zone.follow', zone, follows: follows ?? null }])

  const goesBy = (zone: string): string => {
    const document = design.documents[zone]
    return document?.follows?.zone ?? (document?.runs_on ? 'midnight' : 'scene')
  }
  function goBy(zone: string, by: string): Promise<boolean> {
    const document = design.documents[zone]
    const own = by === 'scene' || by === 'midnight'
    const commands: Command[] = []
    if (document?.follows || !own)
      commands.push({
        do: 'zone.follow',
        zone,
        follows: own ? null : { zone: by, unequal: document?.follows?.unequal ?? 'wrap' },
      })
    if (own && (document?.runs_on ?? false) !== (by === 'midnight'))
      commands.push({ do: 'zone.runs_on', zone, on: by === 'midnight' })
    return commands.length ? design.send(commands) : Promise.resolve(true)
  }
  const setUnequal = (zone: string, unequal: Unequal): Promise<boolean> => {
    const leader = design.documents[zone]?.follows?.zone
    return leader ? follow(zone, { zone: leader, unequal }) : Promise.resolve(false)
  }
  /** Lists that can lead it: those that are not in step themselves. */
  const leaders = (zone: string): ZonePlan[] =>
    design.plans.filter((one) => one.id !== zone && !one.follows && design.documents[one.id]?.fill.kind === 'playlist')
  return { goesBy, goBy, setUnequal, leaders }
}
