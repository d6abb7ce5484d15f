import type { DatedPlan, Rect } from '../plan/types'
import { call } from './client'
import type { Newer, ReleaseLine } from './handoff'
import type { Finding } from './types'

/** A design in the list of a site's designs. */
export interface DesignLine {
  id: string
  name: string
  area: string | null
  canvas: [number, number]
  /** Names. */
  surfaces: string[]
  revision: number
  changed_at: string
  changed_by: string | null
  archived: boolean
}

interface Sheet {
  plan: DatedPlan
  findings: Finding[]
}
/** A design as it is on a surface. */
export interface SurfaceSheet extends Sheet {
  surface: { code: string; name: string }
}
/** A design as it is in a house style. */
interface StyleSheet extends Sheet {
  style: { id: string; name: string }
}
/** An earlier revision, and what is different from now. */
export interface Past {
  revision: number
  plan: DatedPlan
  differences: {
    what: 'design' | 'scene' | 'zone'
    change: string
    letter?: string
    name?: string
    was?: Rect
    is?: Rect
  }[]
}

/** Null when it cannot be had now. */
export const planOf = (design: string): Promise<DatedPlan | null> =>
  call<{ plan: DatedPlan }>('GET', `/api/designs/${design}/plan`).then(
    (answer) => answer.plan,
    () => null,
  )
export const plansOn = (design: string, surfaces: string[]): Promise<SurfaceSheet[]> =>
  surfaces.length === 0
    ? Promise.resolve([])
    : call<{ plans: SurfaceSheet[] }>('GET', `/api/designs/${design}/plans?surfaces=${surfaces.join(',')}`).then(
        (answer) => answer.plans,
      )
export const plansIn = (design: string, styles: string[]): Promise<StyleSheet[]> =>
  styles.length === 0
    ? Promise.resolve([])
    : call<{ plans: StyleSheet[] }>('GET', `/api/designs/${design}/styled?styles=${styles.join(',')}`).then(
        (answer) => answer.plans,
      )
export const pastOf = (design: string, revision: number): Promise<Past> =>
  call('GET', `/api/designs/${design}/revisions/${revision}`)
/** What a design shows at an instant, by zone, and why. */
export interface Moment {
  at_ms: number
  /** Civil, of the site. */
  at: string
  t_ms: number
  scene: string
  scene_name: string
  since_ms: number
  left_ms: number | null
  zones: {
    zone: string
    letter: string
    entry: string | null
    place: number | null
    since_ms: number
    left_ms: number | null
    why: 'steady' | 'turn' | 'midnight' | 'hours' | 'alone' | 'step' | 'no_step' | 'nothing'
    leader: string | null
  }[]
  plan: DatedPlan
}
/** So many ms after a start at midnight, or at a civil time of the site, or at an instant; none: now. */
export type MomentAsked = { t_ms: number | string } | { at: string } | { at_ms: number } | Record<string, never>
export const momentOf = (design: string, asked: MomentAsked): Promise<Moment> =>
  call('GET', `/api/designs/${design}/moment?${new URLSearchParams(asked as Record<string, string>)}`)
interface Releases {
  releases: ReleaseLine[]
  newer: Newer['why']
}
const allOf = (design: string): Promise<Releases> => call('GET', `/api/designs/${design}/releases`)
/** None when they cannot be had now. */
export const releasesOf = (design: string): Promise<ReleaseLine[]> =>
  allOf(design).then(
    (answer) => answer.releases,
    () => [],
  )
/** `number` is null where nothing was released; undefined when it cannot be had now. */
export const releasedOf = (design: string): Promise<{ number: number | null; newer: Newer['why'] } | undefined> =>
  allOf(design).then(
    ({ releases, newer }) => ({ number: releases[0]?.number ?? null, newer }),
    () => undefined,
  )
export const release = (
  design: string,
  made: { revision: number; note: string; surfaces: string[]; made_as: string },
): Promise<ReleaseLine> => call('POST', `/api/designs/${design}/releases`, made)
