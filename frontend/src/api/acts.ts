import { call } from './client'

/** What players show at once, without a hand-off. */
export interface Act {
  id: string
  kind: 'identify' | 'standby'
  targets: string[]
  from_ms: number
  until_ms: number
  until_cleared: boolean
  by: string
  /** Codes of those that it is aimed at, and the names of their surfaces. */
  players: string[]
  surfaces: string[]
}

export const actsOf = (site: string): Promise<Act[]> =>
  call<{ acts: Act[] }>('GET', `/api/sites/${site}/acts`).then(({ acts }) => acts)
/** `act` is an id made up for it: sent again it is done once. */
export const takeAct = (site: string, act: string, kind: Act['kind'], targets: string[]): Promise<unknown> =>
  call('POST', `/api/sites/${site}/acts`, { act, kind, targets })
export const clearAct = (id: string): Promise<void> => call('POST', `/api/acts/${id}/clear`)
