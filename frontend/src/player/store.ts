import { get, set } from 'idb-keyval'
import { asPlan, type PlanOne } from '../plan/older'
import type { Plan } from '../plan/types'
import type { ActsFile } from './acts'

export interface Identity {
  token: string
  orders: string
  name: string
}
/** A sealed plan, where its files lie, and its release; null for the idle card. */
export interface PlanRef {
  release: number | null
  number: number
  name: string
  sha256: string
  base: string
}
/** A stretch of a programme: which plan shows, its round counted from `start_ms`; the end is not in it. */
export interface Interval {
  from_ms: number
  until_ms: number | null
  start_ms: number
  plan: PlanRef
}
/** A programme taken whole: its intervals, what shows where none holds, and the plans they name by their hash. */
export interface Held {
  number: number
  sha256: string
  intervals: Interval[]
  idle: PlanRef | null
  plans: Record<string, Plan>
}
/** A file taken by its SHA-256. */
export interface Named {
  sha256: string
  content: unknown
}
/** What comes beside programmes: the almanac, and data sheets by the plan they are for and the key that it names. */
export interface Beside {
  almanac: Named | null
  sheets: Record<string, Record<string, Named>>
}
interface Kept {
  now: Held | null
  next: Held | null
  ordersNumber: number
  /** Of the server's clock to this machine's; and the latest instant that was believed, in ms since 1970. */
  offset: number | null
  latest: number | null
  beside: Beside
  /** Where the acts of its site lie, what lay there last, and its surface's name. */
  actsAt: string | null
  acts: ActsFile | null
  surface: string
}

/** What was kept before there were programmes: one release and its plan. */
interface HeldOne {
  order: { id: number; number: number; name: string; sha256: string; base: string; start_ms: number }
  plan: Plan | PlanOne
}

/** Anything a player may have kept, as a programme. */
export function asHeld(held: Held | (Omit<Held, 'idle'> & { idle?: undefined }) | HeldOne | null): Held | null {
  if (held === null) return null
  if ('intervals' in held) return { ...held, idle: held.idle ?? null }
  const { order, plan } = held
  return {
    number: 0,
    sha256: order.sha256,
    intervals: [
      {
        from_ms: order.start_ms,
        until_ms: null,
        start_ms: order.start_ms,
        plan: { release: order.id, number: order.number, name: order.name, sha256: order.sha256, base: order.base },
      },
    ],
    idle: null,
    plans: { [order.sha256]: asPlan(plan) },
  }
}

const key = (code: string, what: string): string => `player:${code}:${what}`

export const loadIdentity = (code: string): Promise<Identity | undefined> => get<Identity>(key(code, 'identity'))
export const saveIdentity = (code: string, identity: Identity): Promise<void> => set(key(code, 'identity'), identity)
export const loadKept = async (code: string): Promise<Kept> => {
  const fresh: Kept = {
    now: null,
    next: null,
    ordersNumber: 0,
    offset: null,
    latest: null,
    beside: { almanac: null, sheets: {} },
    actsAt: null,
    acts: null,
    surface: '',
  }
  const kept = await get<Partial<Kept>>(key(code, 'kept'))
  if (!kept) return fresh
  // Those of the page before say by their offset alone that they heard the server once.
  const latest = kept.latest ?? (typeof kept.offset === 'number' ? Date.now() + kept.offset : null)
  return { ...fresh, ...kept, latest, now: asHeld(kept.now ?? null), next: asHeld(kept.next ?? null) }
}
export const saveKept = (code: string, kept: Kept): Promise<void> =>
  set(key(code, 'kept'), JSON.parse(JSON.stringify(kept)) as Kept)
export type { Kept }
