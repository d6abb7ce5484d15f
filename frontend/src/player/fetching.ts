import { loadFace } from '../plan/faces'
import type { Plan } from '../plan/types'
import type { Held, Identity, Order } from './store'

interface Orders { number: number; release: Order | null }

async function json<T>(path: string, init?: RequestInit): Promise<T> {
  const response = await fetch(path, { cache: 'no-cache', ...init })
  if (!response.ok) throw new Error(`${response.status}`)
  return (await response.json()) as T
}

export const fetchOrders = (identity: Identity): Promise<Orders> => json<Orders>(identity.orders)

export async function pair(code: string): Promise<Identity | string> {
  const response = await fetch(`/api/play/${code}/pair`, { method: 'POST' })
  const body = (await response.json()) as Identity & { title: string; mend: string }
  return response.ok ? body : `${body.title} ${body.mend}`
}

export async function askTime(): Promise<{ serverMs: number; atMonotonic: number; frozen: boolean }> {
  const sent = performance.now()
  const answer = await json<{ now_ms: number; frozen: boolean }>('/api/time')
  return { serverMs: answer.now_ms, atMonotonic: (sent + performance.now()) / 2, frozen: answer.frozen }
}

export async function sendProof(code: string, identity: Identity, proof: unknown): Promise<number> {
  const response = await fetch(`/api/play/${code}/proof`, {
    method: 'POST',
    headers: { Authorization: `Bearer ${identity.token}`, 'Content-Type': 'application/json' },
    body: JSON.stringify(proof),
  })
  return response.status
}

const hex = (bytes: ArrayBuffer): string => [...new Uint8Array(bytes)].map((byte) => byte.toString(16).padStart(2, '0')).join('')

/** Takes a release whole or not at all: plan checked against its SHA-256, every medium and face in the cache. */
export async function takeWhole(order: Order): Promise<Held> {
  const cache = await caches.open(`release-${order.sha256}`)
  const url = `${order.base}plan.json`
  const response = (await cache.match(url)) ?? (await fetch(url))
  if (!response.ok) throw new Error(`${response.status}`)
  const bytes = await response.clone().arrayBuffer()
  if (globalThis.crypto?.subtle && hex(await crypto.subtle.digest('SHA-256', bytes)) !== order.sha256) throw new Error('sha256')
  const plan = JSON.parse(new TextDecoder().decode(bytes)) as Plan
  await cache.put(url, response)
  for (const file of [...plan.media.map((medium) => order.base + medium.sha256), ...plan.fonts.map((face) => `/fonts/${face.file}`)]) {
    if (!(await cache.match(file))) await cache.add(file)
  }
  await Promise.all(plan.fonts.map(loadFace))
  return { order, plan }
}

/** Keeps this release and the one before; what is older goes. */
export async function forgetOthers(kept: string[]): Promise<void> {
  for (const name of await caches.keys()) if (name.startsWith('release-') && !kept.includes(name.slice(8))) await caches.delete(name)
}
