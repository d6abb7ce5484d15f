import { call } from './client'
import type { When } from './fills'

/** How days and hours are said in full, null where no sentence says them; the next times, from and until, civil. */
export interface SaidHours {
  words: string | null
  next: [string, string][]
}
/** Days and hours from a sentence. */
export const readHours = (site: string, words: string): Promise<SaidHours & { when: When }> =>
  call('GET', `/api/sites/${site}/when?words=${encodeURIComponent(words)}`)
