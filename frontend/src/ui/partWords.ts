import { useI18n } from 'vue-i18n'
import type { ProblemError } from '../api/client'

/** A refusal in the unit that the field shows: bounds are kept in whole small parts (mm) and told in large ones (m). */
export function usePartWords(): (
  problem: ProblemError['problem'],
  parts: number,
  unit: string,
  whole?: boolean,
) => string {
  const { t } = useI18n()
  return ({ code, params, title, mend }, parts, unit, whole = false) => {
    if (code !== 'input.range') return `${title} ${mend}`
    const [least, most] = [Number(params.least) / parts, Number(params.most) / parts]
    return t('measure.range', {
      least: String(whole ? Math.ceil(least) : least),
      most: String(whole ? Math.floor(most) : most),
      unit,
    })
  }
}
