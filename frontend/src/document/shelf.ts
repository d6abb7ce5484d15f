import { del, get, keys, set } from 'idb-keyval'

/*
 * Where batches wait: IndexedDB, which has room for all of them, and in front of it localStorage, which has what it is
 * given at once. A tab that is closed right after a word was typed does not live to see IndexedDB's answer.
 */

/** What is kept from now on; over when it lies in IndexedDB. */
export async function keep(key: string, value: unknown): Promise<void> {
  const json = JSON.stringify(value)
  try {
    localStorage.setItem(key, json)
  } catch {
    // More than it has room for: IndexedDB alone has it then.
    localStorage.removeItem(key)
  }
  await set(key, JSON.parse(json))
  if (localStorage.getItem(key) === json) localStorage.removeItem(key)
}

export async function kept<Value>(key: string): Promise<Value | undefined> {
  const newest = localStorage.getItem(key)
  return newest === null ? get<Value>(key) : (JSON.parse(newest) as Value)
}

export async function drop(key: string): Promise<void> {
  localStorage.removeItem(key)
  await del(key)
}

export async function keptUnder(prefix: string): Promise<string[]> {
  const all = new Set([...(await keys()), ...Object.keys(localStorage)])
  return [...all].filter((one): one is string => typeof one === 'string' && one.startsWith(prefix))
}
