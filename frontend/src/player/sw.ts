/// <reference lib="webworker" />
import { ranged } from './ranged'

declare const self: ServiceWorkerGlobalScope

const SHELL = 'player-shell'

self.addEventListener('install', () => void self.skipWaiting())
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()))

self.addEventListener('fetch', (event) => {
  const url = new URL(event.request.url)
  if (event.request.method !== 'GET' || url.origin !== self.location.origin) return
  if (url.pathname.startsWith('/released/') || url.pathname.startsWith('/fonts/'))
    event.respondWith(fromRelease(event.request, url.pathname))
  else if (event.request.mode === 'navigate' || url.pathname.startsWith('/build/'))
    event.respondWith(fromShell(event.request))
})

/** Files of a release never change: the cache first. Videos ask in ranges, which a cache cannot answer by itself. */
async function fromRelease(request: Request, path: string): Promise<Response> {
  const cached = (await caches.match(path)) ?? (path.startsWith('/released/') ? await bySum(path) : undefined)
  return cached ? ranged(cached, request.headers.get('Range')) : fetch(request)
}

/** What stays on the stage from plan to plan asks at an earlier one's address; files are named by their SHA-256. */
async function bySum(path: string): Promise<Response | undefined> {
  const name = path.slice(path.lastIndexOf('/'))
  if (!/^\/[0-9a-f]{64}/.test(name)) return undefined
  for (const key of await caches.keys()) {
    const cache = await caches.open(key)
    const same = (await cache.keys()).find((one) => new URL(one.url).pathname.endsWith(name))
    if (same) return cache.match(same)
  }
  return undefined
}

/** The page and its scripts: the server first, so that a new version comes; the kept ones when it is away. */
async function fromShell(request: Request): Promise<Response> {
  const cache = await caches.open(SHELL)
  try {
    const response = await fetch(request)
    if (response.ok) await cache.put(request.url, response.clone())
    return response
  } catch (error) {
    const cached = await cache.match(request.url, { ignoreVary: true })
    if (cached) return cached
    throw error
  }
}
