import { reach } from '../plan/elsewhere'
import { loadFace } from '../plan/faces'
import type { Showing } from '../plan/stage'
import { askTime, fetchOrders, forgetOthers, sendProof, takeBeside, takeWhole, wanted } from './fetching'
import { askToBe, ownIdentity } from './pairing'
import { whatShows, type Shows } from './shows'
import { dated, type Almanac } from './almanac'
import { loadKept, saveKept, type Held, type Identity, type Kept, type Named } from './store'
import { SteadyClock } from './steady'
import { Together, type OutputShows } from './together'
import { RasterWindow, windowFor } from './window'
import { say } from './words'

const POLL_MS = 2000
const PROOF_MS = 5000
const TIME_MS = 30_000
const SHELL_MS = 5000
const purpose = windowFor(new URL(location.href))
const code = purpose.player
const root = document.getElementById('stage') as HTMLElement
const word = document.getElementById('word') as HTMLElement

// The answer cannot be read, but that there is one can.
reach.page = (address) =>
  fetch(address, { mode: 'no-cors', credentials: 'omit', cache: 'no-store' }).then(
    () => true,
    () => false,
  )
reach.devices = true
reach.file = (address) => `${address}.html`

class Player {
  private held: Held | null = null
  private shows: Shows | null = null
  /** The almanac that the stage goes by. */
  private dates: Named | null = null
  private readonly stage = new RasterWindow(root, (sha256) => `${this.shows?.plan.base ?? ''}${sha256}`, purpose)
  private shown: Showing = { scene: '', zones: {} }
  private failed = ''
  private asks = false
  private polling = false
  private readonly together = new Together(
    code,
    () => void this.poll(),
    (offset) => this.clock.hear(Date.now() + offset, performance.now()),
  )

  constructor(
    private readonly kept: Kept,
    private readonly clock: SteadyClock,
    private identity: Identity,
  ) {
    this.held = kept.now
  }

  /** Turns the stage to what shows now; the same plan goes on as it is, whatever named it. */
  private follow(now: number): void {
    const before = this.shows
    this.shows = whatShows(this.held, now)
    const almanac = this.kept.beside.almanac
    if (this.shows?.plan.sha256 === before?.plan.sha256 && almanac === this.dates) return
    this.dates = almanac
    const plan = this.shows ? this.held?.plans[this.shows.plan.sha256] : undefined
    if (!plan) return this.stage.clear()
    const drawn = dated(plan, (almanac?.content as Almanac | undefined) ?? null)
    word.textContent = this.stage.show(drawn) ? '' : say('no-output', { output: purpose.output ?? 0, player: code })
    const base = this.shows?.plan.base ?? ''
    void Promise.all(plan.fonts.map((face) => loadFace(face, (sha256) => base + sha256))).catch(() => undefined)
  }

  frame = (): void => {
    const now = this.clock.now()
    const next = this.kept.next
    if (next && now >= (next.intervals[0]?.from_ms ?? 0)) {
      this.kept.now = this.held = next
      this.kept.next = null
      void saveKept(code, this.kept)
    }
    this.follow(now)
    if (this.shows) this.shown = this.stage.at(now - this.shows.start_ms, now, !this.clock.frozen)
    requestAnimationFrame(this.frame)
  }

  /** What the outputs of this player show, as far as their pages are open. */
  private outputs(): { outputs?: OutputShows[] } {
    const number = purpose.output
    const plan = this.shows?.plan.sha256
    if (number === null || !plan) return {}
    return { outputs: this.together.shows({ number, plan, offset_ms: this.clock.now() - Date.now() }) }
  }

  poll = async (): Promise<void> => {
    this.outputs()
    if (this.polling) return
    this.polling = true
    try {
      const orders = await fetchOrders(this.identity)
      const order = wanted(orders)
      if (orders.number < this.kept.ordersNumber || !order) return
      const beside = await takeBeside(orders, this.kept.beside)
      if (JSON.stringify(beside) !== JSON.stringify(this.kept.beside)) {
        this.kept.beside = beside
        await saveKept(code, this.kept)
      }
      const known = this.kept.next ?? this.kept.now
      if (
        known?.sha256 === order.sha256 ||
        (order.url === null && known?.intervals[0]?.start_ms === order.intervals[0]?.start_ms)
      )
        return
      const next = await takeWhole(order)
      const before = this.kept.now
      this.kept.next = next
      this.kept.ordersNumber = orders.number
      await saveKept(code, this.kept)
      this.together.took(next.sha256)
      await forgetOthers([before, next])
      this.failed = ''
    } catch (error) {
      this.failed = error instanceof Error ? error.message : 'network'
      if (this.failed === '404') await this.pairAgain()
    } finally {
      this.polling = false
    }
    if (!this.held && !this.kept.next && !this.asks) word.textContent = say('waiting', { player: this.identity.name })
  }

  private async pairAgain(): Promise<void> {
    const paired = await askToBe(code, this.identity).catch(() => null)
    if (paired === null) return
    if (typeof paired !== 'string') {
      if (paired.orders !== this.identity.orders) this.kept.ordersNumber = 0
      this.identity = paired
    }
    if (typeof paired === 'string' || this.asks) word.textContent = typeof paired === 'string' ? paired : ''
    this.asks = typeof paired === 'string'
  }

  proof = async (): Promise<void> => {
    if (!this.held || !this.shows || this.shown.scene === '') return
    await sendProof(code, this.identity, {
      release: this.shows.plan.release,
      plan: this.shows.plan.sha256,
      programme: this.held.number === 0 ? null : this.held.sha256,
      at_ms: this.clock.now(),
      offset_ms: this.clock.offsetMs(Date.now()),
      stepped: this.clock.stepped,
      ...this.shown,
      ...this.outputs(),
    }).catch(() => undefined)
  }

  time = async (): Promise<void> => {
    try {
      const heard = await askTime()
      this.clock.frozen = heard.frozen
      this.clock.hear(heard.serverMs, heard.atMonotonic)
      this.kept.offset = this.clock.offsetMs(Date.now())
      this.together.heard(this.kept.offset)
      await saveKept(code, this.kept)
    } catch {
      // The server is away: the last known offset goes on holding.
    }
  }
}

/**
 * The page and its scripts came before the service worker did: they are put into its cache by hand, so that the first
 * reload may already be without a server.
 */
async function keepShell(): Promise<void> {
  const scripts = performance
    .getEntriesByType('resource')
    .map((entry) => entry.name)
    .filter((name) => name.includes('/build/'))
  await (await caches.open('player-shell')).addAll([location.href, ...scripts]).catch(() => undefined)
}

const after = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms))

async function start(): Promise<void> {
  // A service worker that does not come in time must not keep the screen empty: it goes on coming beside what shows.
  if ('serviceWorker' in navigator)
    await Promise.race([
      navigator.serviceWorker
        .register('/play/sw.js', { scope: '/play/' })
        .then(() => navigator.serviceWorker.ready)
        .then(keepShell)
        .catch(() => undefined),
      after(SHELL_MS),
    ])
  else word.textContent = say('insecure')
  let identity = await ownIdentity(code)
  word.className = identity.orders === '' ? 'asks' : ''
  while (identity.orders === '') {
    const paired = await askToBe(code, identity).catch(() => say('away'))
    if (typeof paired === 'string') {
      word.textContent = paired
      await after(POLL_MS)
    } else {
      identity = paired
      word.textContent = word.className = ''
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
  // A little apart from each other, so that many players that begin together do not go on together.
  void work().finally(() => setTimeout(() => repeat(work, everyMs), everyMs * (0.8 + 0.4 * Math.random())))
}

/** A card changes with the wiring, so it is asked for again and again; nothing of it is kept. */
async function showCard(): Promise<void> {
  const window = new RasterWindow(root, () => '', purpose)
  repeat(async () => {
    word.textContent = (await window.card().catch(() => false))
      ? ''
      : say('no-card', { player: code, output: purpose.output ?? 1 })
  }, POLL_MS)
}

void (purpose.card ? showCard() : start())
