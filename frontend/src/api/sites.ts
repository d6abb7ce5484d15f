import { call } from './client'
import type { Elevation } from './surfaces'
import type { FontLine } from './types'

export const elevationOf = (site: string): Promise<Elevation> => call('GET', `/api/sites/${site}/elevation`)
/** None when they cannot be had now. */
export const fontsOf = (site: string): Promise<FontLine[]> =>
  call<{ fonts: FontLine[] }>('GET', `/api/sites/${site}/fonts`).then(
    (answer) => answer.fonts,
    () => [],
  )
/** Whether the server has taken what the browser measured. */
export const tellMeasures = (site: string, lines: object[]): Promise<boolean> =>
  call('POST', `/api/sites/${site}/measures`, { lines }).then(
    () => true,
    () => false,
  )
