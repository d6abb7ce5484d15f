import type { Finding } from '../api/types'

type Severity = Finding['severity']
/** From the worst on, as the core has them. */
const WORST_FIRST: readonly Severity[] = ['stop', 'caution', 'note']

/** The worst among findings; null where there are none. */
export const worstOf = (findings: readonly Pick<Finding, 'severity'>[]): Severity | null =>
  WORST_FIRST.find((severity) => findings.some((finding) => finding.severity === severity)) ?? null

export const bySeverity = (a: Pick<Finding, 'severity'>, b: Pick<Finding, 'severity'>): number =>
  WORST_FIRST.indexOf(a.severity) - WORST_FIRST.indexOf(b.severity)
