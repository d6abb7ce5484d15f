import { useI18n } from 'vue-i18n'
import type { ReleaseLine } from '../api/handoff'

/** A release as people name it: its design and its number. */
export function useReleaseWords(): (release: ReleaseLine) => string {
  const { t } = useI18n()
  return (release) => t('handoff.release', { name: release.name, number: String(release.number) })
}
