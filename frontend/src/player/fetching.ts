import { isUploaded, loadFace } from '../plan/faces'
import { asPlan, type PlanOne } from '../plan/older'
import type { Plan } from '../plan/types'
import type { ActsFile } from './acts'
import type { Beside, Held, Identity, Interval, Named, PlanRef } from './store'
import { verified } from './verified'

interface FileRef {
  sha256: string
  url: string
}
/** Orders name a programme; those written before there were programmes, and not yet written again, a release. */
export interface Orders {
  number: number
  programme?: { number: number; sha256: string; url: string } | null
  /** By plan and key; a list, always empty, in those of the version before. */
  sheets?: Record<string, Record<string, FileRef>> | never[]
  /** Days and changes of clocks ahead; null until there is one. */
  almanac?: FileRef | null
  /** Where the acts of its site lie; its surface's name. */
  acts?: string
  surface?: string
  release?: { id: number; number: number; name: string; sha256: string; base: string; start_ms: number } | null
}
interface Programme {
  number: number
  intervals: Interval[]
  /** Absent in those of version 1. */
  idle?: PlanRef | null
}
/** What orders ask for: a programme to fetch, or one that follows from them. */
export interface Wanted {
  sha256: string
  number: number
  url: string | null
  intervals: Interval[]
}

/** An answer that takes longer is none: the next one is asked for. */
const ANSWERS_MS = 10_000
async function json<T>(path: string, init?: RequestInit): Promise<T> {
  const response = await fetch(path, { cache: 'no-cache', signal: AbortSignal.timeout(ANSWERS_MS), ...init })
  if (!response.ok) throw new Error(`${response.status}`)
  return (await response.json()) as T
}

export const fetchOrders = (identity: Identity): Promise<Orders> => json<Orders>(identity.orders)

export const fetchActs = (address: string): Promise<ActsFile> => json<ActsFile>(address)

export async function askTime(): Promise<{ serverMs: number; atMonotonic: number; frozen: boolean }> {
  const sent = performance.now()
  const answer = await json<{ now_ms: number; frozen: boolean }>('/api/time')
  if (!Number.isFinite(answer.now_ms)) throw new Error('time')
  return { serverMs: answer.now_ms, atMonotonic: (sent + performance.now()) / 2, frozen: answer.frozen }
}

export async function sendProof(code: string, identity: Identity, proof: unknown): Promise<number> {
  const response = await fetch(`/api/play/${code}/proof`, {
    method: 'POST',
    headers: { Authorization: `Bearer ${identity.token}`, 'Content-Type': 'application/json' },
    body: JSON.stringify(proof),
    signal: AbortSignal.timeout(ANSWERS_MS),
  })
  return response.status
}

export function wanted(orders: Orders): Wanted | null {
  if (orders.programme) return { ...orders.programme, intervals: [] }
  const release = orders.release
  if (!release) return null
  const plan = {
    release: release.id,
    number: release.number,
    name: release.name,
    sha256: release.sha256,
    base: release.base,
  }
  return {
    sha256: `${release.sha256}@${release.start_ms}`,
    number: 0,
    url: null,
    intervals: [{ from_ms: release.start_ms, until_ms: null, start_ms: release.start_ms, plan }],
  }
}

async function checked<T>(cache: Cache, url: string, sha256: string): Promise<T> {
  return JSON.parse(new TextDecoder().decode(await verified(cache, url, sha256))) as T
}

async function takePlan({ sha256, base }: PlanRef): Promise<Plan> {
  const cache = await caches.open(`release-${sha256}`)
  const plan = asPlan(await checked<Plan | PlanOne>(cache, `${base}plan.json`, sha256))
  for (const { sha256, mime } of plan.media)
    await verified(cache, base + sha256 + (mime === 'text/html' ? '.html' : ''), sha256)
  // A face's file carries the beginning of its SHA-256 in its name.
  for (const { file } of plan.fonts.filter((face) => !isUploaded(face.file)))
    await verified(cache, `/fonts/${file}`, /-([0-9a-f]{8})\.ttf$/.exec(file)?.[1] ?? '')
  await Promise.all(plan.fonts.map((face) => loadFace(face, (sha256) => base + sha256)))
  return plan
}

/**
 * Takes a programme whole or not at all: itself and every plan it names checked against their SHA-256, every medium and
 * face in the cache.
 */
export async function takeWhole(order: Wanted): Promise<Held> {
  const { intervals, idle = null }: Pick<Programme, 'intervals' | 'idle'> =
    order.url === null
      ? order
      : await checked<Programme>(await caches.open(`release-${order.sha256}`), order.url, order.sha256)
  const plans: Record<string, Plan> = {}
  for (const plan of [...intervals.map((one) => one.plan), ...(idle ? [idle] : [])])
    plans[plan.sha256] ??= await takePlan(plan)
  return { number: order.number, sha256: order.sha256, intervals, idle, plans }
}

/**
 * The almanac and the sheets that orders name, each by itself: what is held already stays, and one that cannot be had
 * now keeps neither the others nor the programme away; then what was held in its place goes on.
 */
export async function takeBeside(orders: Orders, held: Beside): Promise<Beside> {
  const take = async (name: string, file: FileRef, known: Named | undefined | null): Promise<Named | null> => {
    if (known?.sha256 === file.sha256) return known
    try {
      return { sha256: file.sha256, content: await checked(await caches.open(name), file.url, file.sha256) }
    } catch {
      return known ?? null
    }
  }
  const almanac = orders.almanac ? await take('almanac', orders.almanac, held.almanac) : null
  const sheets: Beside['sheets'] = {}
  for (const [plan, keys] of Object.entries(orders.sheets ?? {}))
    for (const [key, file] of Object.entries(keys)) {
      const taken = await take(`release-${plan}`, file, held.sheets[plan]?.[key])
      if (taken) (sheets[plan] ??= {})[key] = taken
    }
  return { almanac, sheets }
}

/** Keeps what these programmes need; what is older goes. */
export async function forgetOthers(kept: (Held | null)[]): Promise<void> {
  const names = kept
    .flatMap((held) => (held ? [held.sha256, ...Object.keys(held.plans)] : []))
    .map((sha256) => `release-${sha256}`)
  for (const name of await caches.keys())
    if (name.startsWith('release-') && !names.includes(name)) await caches.delete(name)
}
