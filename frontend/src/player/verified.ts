const hex = (bytes: ArrayBuffer): string =>
  [...new Uint8Array(bytes)].map((byte) => byte.toString(16).padStart(2, '0')).join('')

async function isRight(bytes: ArrayBuffer, sha256: string): Promise<boolean> {
  return !globalThis.crypto?.subtle || hex(await crypto.subtle.digest('SHA-256', bytes)).startsWith(sha256)
}

/**
 * The bytes of a file that are what their SHA-256 (or its beginning) says: kept ones, else fetched, else fetched around
 * every cache on the way. What is wrong is never kept, so that one corrupt answer does not stick.
 */
export async function verified(cache: Cache, url: string, sha256: string): Promise<ArrayBuffer> {
  const kept = await cache.match(url)
  if (kept) {
    const bytes = await kept.arrayBuffer()
    if (await isRight(bytes, sha256)) return bytes
    await cache.delete(url)
  }
  for (const how of ['default', 'reload'] as const) {
    const response = await fetch(url, { cache: how })
    if (!response.ok) throw new Error(`${response.status}`)
    const bytes = await response.clone().arrayBuffer()
    if (await isRight(bytes, sha256)) {
      await cache.put(url, response)
      return bytes
    }
  }
  throw new Error('sha256')
}
