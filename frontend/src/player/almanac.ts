import type { Dates } from '../plan/types'

/** The site's dates over the days ahead, as they are sealed each day; lists with hours by the hash of their plan. */
export interface Almanac extends Omit<Dates, 'lists'> {
  until_ms: number
  lists?: Record<string, Dates['lists']>
}

/** Behind its end its last offset goes on, and nobody knows of a change of the clocks: that is said. */
export const isOver = (almanac: Almanac, nowMs: number): boolean => nowMs >= almanac.until_ms

/** By which a plan is drawn; before any has come nothing is known, and no clock guesses. */
export const datesBy = (almanac: Almanac | null, plan: string): Dates =>
  almanac ? { ...almanac, lists: almanac.lists?.[plan] ?? {} } : { days: [], offsets: [] }
