import { useI18n } from 'vue-i18n'
import { ProblemError } from '../api/client'

/** A refusal in words: what, and the mend. What is no refusal is a server that does not answer. */
export function useRefusalWords(): (error: unknown) => { what: string; mend: string } {
  const { t } = useI18n()
  return (error) =>
    error instanceof ProblemError
      ? { what: error.problem.title, mend: error.problem.mend }
      : { what: t('away.what'), mend: t('away.mend') }
}
