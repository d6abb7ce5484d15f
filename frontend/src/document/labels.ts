import { useI18n } from 'vue-i18n'
import type { Label } from '../api/types'

/** What was done, in words: never the name of a command. */
export function useLabels(): { one: (label: Label) => string; all: (labels: Label[] | null | undefined) => string } {
  const { t } = useI18n()
  const one = ({ code, about }: Label): string => {
    if (about['field']) return t('done.field', { field: t(`field.${about['field']}`) })
    const what = t(`done.${code.replace('.', '-')}`)
    if (about['revision']) return t('done.to', { what, revision: about['revision'] })
    const whose = about['letter'] ?? about['scene'] ?? about['player'] ?? about['name']
    return whose ? t('done.of', { what, whose }) : what
  }
  const all = (labels: Label[] | null | undefined): string => [...new Set((labels ?? []).map(one))].join(', ')
  return { one, all }
}
