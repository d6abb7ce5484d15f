import { loadFace } from '../plan/faces'
import { askTime, fetchOrders, forgetOthers, pair, sendProof, takeWhole } from './fetching'
import { loadIdentity, loadKept, saveIdentity, saveKept, type Held, type Identity, type Kept } from './store'
import { SteadyClock } from './steady'
import { RasterWindow, windowFor } from './window'

const POLL_MS = 2000
const PROOF_MS = 5000
const TIME_MS = 30_000
const purpose = windowFor(new URL(location.href))
const code = purpose.player
const root = document.getElementById('stage') as HTMLElement
const word = document.getElementById('word') as HTMLElement

class Player {
  private held: Held | null = null
  private readonly stage = new RasterWindow(root, (sha256) => `${this.held?.order.base ?? ''}${sha256}`, purpose)
  private shown: Record<string, string | null> = {}
  private failed = ''

  constructor(private readonly kept: Kept, private readonly clock: SteadyClock, private identity: Identity) {
    this.switchTo(kept.now)
  }

  private switchTo(held: Held | null): void {
    this.held = held
    if (!held) return
    word.textContent = this.stage.show(held.plan) ? '' : `This release knows no output ${purpose.output} of ${code}.`
    void Promise.all(held.plan.fonts.map(loadFace)).catch(() => undefined)
  }

  frame = (): void => {
    const now = this.clock.now()
    const next = this.kept.next
    if (next && now >= next.order.start_ms) {
      this.kept.now = next
      this.kept.next = null
      this.switchTo(next)
      void saveKept(code, this.kept)
    }
    if (this.held) this.shown = this.stage.at(now - this.held.order.start_ms, now, !this.clock.frozen)
    requestAnimationFrame(this.frame)
  }

  poll = async (): Promise<void> => {
    try {
      const orders = await fetchOrders(this.identity)
      if (orders.number < this.kept.ordersNumber || !orders.release) return
      const known = this.kept.next ?? this.kept.now
      if (known?.order.id === orders.release.id && known.order.start_ms === orders.release.start_ms) return
      const previous = this.kept.now?.order.sha256
      this.kept.next = await takeWhole(orders.release)
      this.kept.ordersNumber = orders.number
      await saveKept(code, this.kept)
      await forgetOthers([orders.release.sha256, ...(previous ? [previous] : [])])
      this.failed = ''
    } catch (error) {
      this.failed = error instanceof Error ? error.message : 'network'
      if (this.failed === '404') await this.pairAgain()
    }
    if (!this.held && !this.kept.next) word.textContent = `${this.identity.name}: waiting for a release.`
  }

  private async pairAgain(): Promise<void> {
    const paired = await pair(code).catch(() => 'away')
    if (typeof paired === 'string') return
    this.identity = paired
    this.kept.ordersNumber = 0
    await saveIdentity(code, paired)
  }

  proof = async (): Promise<void> => {
    if (!this.held) return
    const at = this.clock.now()
    await sendProof(code, this.identity, {
      release: this.held.order.id, at_ms: at, offset_ms: this.clock.offsetMs(Date.now()), stepped: this.clock.stepped, zones: this.shown,
    }).catch(() => undefined)
  }

  time = async (): Promise<void> => {
    try {
      const heard = await askTime()
      this.clock.frozen = heard.frozen
      this.clock.hear(heard.serverMs, heard.atMonotonic)
      this.kept.offset = this.clock.offsetMs(Date.now())
      await saveKept(code, this.kept)
    } catch {
      // The server is away: the last known offset goes on holding.
    }
  }
}

/** The page and its scripts came before the service worker did: they are put into its cache by hand, so that the first reload may already be without a server. */
async function keepShell(): Promise<void> {
  const scripts = performance.getEntriesByType('resource').map((entry) => entry.name).filter((name) => name.includes('/build/'))
  await (await caches.open('player-shell')).addAll([location.href, ...scripts]).catch(() => undefined)
}

async function start(): Promise<void> {
  if ('serviceWorker' in navigator) await navigator.serviceWorker.register('/play/sw.js', { scope: '/play/' }).then(() => navigator.serviceWorker.ready).then(keepShell).catch(() => undefined)
  else word.textContent = 'Offline play needs TLS or localhost.'
  let identity = await loadIdentity(code)
  while (!identity) {
    const paired = await pair(code).catch(() => 'The server does not answer; trying again.')
    if (typeof paired === 'string') {
      word.textContent = paired
      await new Promise((resolve) => setTimeout(resolve, POLL_MS))
    } else {
      identity = paired
      await saveIdentity(code, paired)
    }
  }
  const kept = await loadKept(code)
  const player = new Player(kept, new SteadyClock(() => performance.now(), Date.now() + (kept.offset ?? 0)), identity)
  await player.time()
  player.frame()
  repeat(player.poll, POLL_MS)
  repeat(player.proof, PROOF_MS)
  repeat(player.time, TIME_MS)
}

function repeat(work: () => Promise<void>, everyMs: number): void {
  void work().finally(() => setTimeout(() => repeat(work, everyMs), everyMs))
}

/** A card changes with the wiring, so it is asked for again and again; nothing of it is kept. */
async function showCard(): Promise<void> {
  const window = new RasterWindow(root, () => '', purpose)
  repeat(async () => {
    word.textContent = (await window.card().catch(() => false)) ? '' : `No test card: ${code} has no output ${purpose.output ?? 1}, or the server does not answer.`
  }, POLL_MS)
}

void (purpose.card ? showCard() : start())
