import { get, set } from 'idb-keyval'
import type { Plan } from '../plan/types'

export interface Identity { token: string; orders: string; name: string }
export interface Order { id: number; number: number; name: string; sha256: string; base: string; start_ms: number }
export interface Held { order: Order; plan: Plan }
interface Kept { now: Held | null; next: Held | null; ordersNumber: number; offset: number | null }

const key = (code: string, what: string): string => `player:${code}:${what}`

export const loadIdentity = (code: string): Promise<Identity | undefined> => get<Identity>(key(code, 'identity'))
export const saveIdentity = (code: string, identity: Identity): Promise<void> => set(key(code, 'identity'), identity)
export const loadKept = async (code: string): Promise<Kept> => (await get<Kept>(key(code, 'kept'))) ?? { now: null, next: null, ordersNumber: 0, offset: null }
export const saveKept = (code: string, kept: Kept): Promise<void> => set(key(code, 'kept'), JSON.parse(JSON.stringify(kept)) as Kept)
export type { Kept }
