const KEY = 'client'

/** Holds a name as long as this page lives; false when another page holds it. */
function hold(name: string): Promise<boolean> {
  return new Promise((resolve) => {
    void navigator.locks.request(name, { ifAvailable: true }, (lock) => {
      resolve(lock !== null)
      return lock ? new Promise<void>(() => undefined) : undefined
    })
  })
}
/**
 * Whether some page holds a name. Without locks (a page that is not served securely) nobody can say, so it is taken for
 * held.
 */
export async function isHeld(client: string): Promise<boolean> {
  if (!('locks' in navigator)) return true
  return ((await navigator.locks.query()).held ?? []).some((lock) => lock.name === `client:${client}`)
}

let mine: Promise<string> | null = null

/**
 * Which client this page is: one queue of batches. It stays the same when the page is loaded again; a second page, also
 * a copy of this one, is another.
 */
export function clientId(): Promise<string> {
  mine ??= (async () => {
    const known = sessionStorage.getItem(KEY)
    if (known && (!('locks' in navigator) || (await hold(`client:${known}`)))) return known
    const fresh = crypto.randomUUID()
    if ('locks' in navigator) await hold(`client:${fresh}`)
    sessionStorage.setItem(KEY, fresh)
    return fresh
  })()
  return mine
}
