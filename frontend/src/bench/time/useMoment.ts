import { onUnmounted, shallowRef, type ShallowRef } from 'vue'
import { momentOf, type Moment, type MomentAsked } from '../../api/designs'
import { pinned } from '../../ui/pinned'
import { useDesign } from '../store/design'

export interface MomentView {
  shown: ShallowRef<Moment | null>
  error: ShallowRef<unknown>
  ask: (asked: MomentAsked) => Promise<void>
  change: (by: -1 | 1) => Promise<void>
  clear: () => void
}

/** The instant that the bench is pinned to: everything on it is of then, until it is cleared. */
export function useMoment(): MomentView {
  const design = useDesign()
  const shown = shallowRef<Moment | null>(null)
  const error = shallowRef<unknown>(null)
  let number = 0

  async function ask(asked: MomentAsked): Promise<void> {
    const mine = ++number
    error.value = null
    try {
      const answer = await momentOf(design.id, asked)
      if (mine !== number) return
      // What its zones are called is known of the scene that is open.
      if (answer.scene !== design.scene && design.scenes[answer.scene]) await design.show(answer.scene, 'own')
      if (mine !== number) return
      shown.value = answer
      pinned.value = answer.at
    } catch (refused) {
      if (mine === number) error.value = refused
    }
  }
  /** To where anything is next another, or was before. */
  async function change(by: -1 | 1): Promise<void> {
    const now = shown.value
    if (!now) return
    const left = [now.left_ms, ...now.zones.map((zone) => zone.left_ms)].filter((ms) => ms !== null)
    if (by > 0) return left.length ? ask({ at_ms: now.at_ms + Math.min(...left) }) : undefined
    const since = (moment: Moment): number[] =>
      [moment.since_ms, ...moment.zones.flatMap((zone) => (zone.left_ms === null ? [] : [zone.since_ms]))].filter(
        (ms) => ms > 0,
      )
    const own = since(now)
    // Where something begins just now, what was before it counts.
    const begins = own.length < 1 + now.zones.filter((zone) => zone.left_ms !== null).length
    if (!begins && own.length) return ask({ at_ms: now.at_ms - Math.min(...own) })
    const before = await momentOf(design.id, { at_ms: now.at_ms - 1 }).catch(() => null)
    const earlier = before ? since(before) : []
    if (before) await ask({ at_ms: before.at_ms - Math.min(...(earlier.length ? earlier : [0])) })
  }
  function clear(): void {
    number++
    shown.value = error.value = null
    pinned.value = null
  }
  onUnmounted(clear)

  return { shown, error, ask, change, clear }
}
