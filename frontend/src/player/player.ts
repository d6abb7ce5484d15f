import { loadFace } from '../plan/faces'
import type { Showing } from '../plan/stage'
import { Acts } from './acts'
import { datesBy, isOver, type Almanac } from './almanac'
import { Card } from './card'
import { askTime, fetchActs, fetchOrders, sendProof } from './fetching'
import { askToBe } from './pairing'
import { whatShows, type Shows } from './shows'
import { SteadyClock } from './steady'
import { saveKept, type Held, type Identity, type Kept, type Named } from './store'
import { Taking } from './taking'
import { Together, type OutputShows } from './together'
import { RasterWindow, type WindowFor } from './window'
import { say } from './words'

/** What belongs together is told together. */
const TELLS_AFTER_MS = 300

/** One player: what it was told, what it shows by it, and what it tells of that. */
export class Player {
  private held: Held | null
  private shows: Shows | null = null
  /** The almanac that the stage goes by. */
  private dates: Named | null = null
  private readonly stage: RasterWindow
  private readonly acts: Acts
  private readonly taking: Taking
  private readonly together: Together
  private shown: Showing = { scene: '', zones: {} }
  private asks = false
  private tells: ReturnType<typeof setTimeout> | undefined
  private toldOf = ''

  constructor(
    private readonly purpose: WindowFor,
    private readonly kept: Kept,
    private readonly clock: SteadyClock,
    private identity: Identity,
    private readonly page: { stage: HTMLElement; word: HTMLElement; card: Card },
  ) {
    this.held = kept.now
    this.stage = new RasterWindow(page.stage, (sha256) => `${this.shows?.plan.base ?? ''}${sha256}`, purpose)
    this.acts = new Acts(purpose.player, () => performance.now(), kept.acts)
    this.together = new Together(
      purpose.player,
      () => void this.poll(),
      (offset) => this.clock.hear(Date.now() + offset, performance.now()),
    )
    this.taking = new Taking(purpose.player, kept, (programme) => {
      if (programme) this.together.took(programme.sha256)
      this.tell()
    })
  }

  /** Turns the stage to what shows now; the same plan goes on as it is, whatever named it. */
  private follow(now: number): void {
    const before = this.shows
    const act = this.acts.now('standby', now, this.clock.sure)
    const isUnsure = !this.clock.sure && this.kept.latest === null
    this.shows = whatShows(this.held, now, act ? 'act' : isUnsure ? 'unsure' : null)
    const almanac = this.kept.beside.almanac
    if (this.shows?.plan.sha256 === before?.plan.sha256 && almanac === this.dates) return
    this.dates = almanac
    this.tell()
    const plan = this.shows ? this.held?.plans[this.shows.plan.sha256] : undefined
    if (!plan) return this.stage.clear()
    const dates = datesBy((almanac?.content as Almanac | undefined) ?? null, this.shows?.plan.sha256 ?? '')
    const { output, player } = this.purpose
    this.page.word.textContent = this.stage.show({ ...plan, dates })
      ? ''
      : say('no-output', { output: output ?? 0, player })
    const base = this.shows?.plan.base ?? ''
    void Promise.all(plan.fonts.map((face) => loadFace(face, (sha256) => base + sha256))).catch(() => undefined)
  }

  frame = (): void => {
    const now = this.clock.now()
    const next = this.kept.next
    if (next && now >= (next.intervals[0]?.from_ms ?? 0)) {
      this.kept.now = this.held = next
      this.kept.next = null
      void saveKept(this.purpose.player, this.kept)
      this.tell()
    }
    this.follow(now)
    const { name } = this.identity
    const isAsked = this.acts.now('identify', now, this.clock.sure) !== null
    if (!this.asks)
      this.page.card.identify(isAsked ? { name, surface: this.kept.surface, output: this.purpose.output } : null)
    if (this.shows) this.shown = this.stage.at(now - this.shows.start_ms, now, !this.clock.frozen)
    requestAnimationFrame(this.frame)
  }

  /** What the outputs of this player show, as far as their pages are open. */
  private outputs(): OutputShows[] {
    const number = this.purpose.output
    const plan = this.shows?.plan.sha256
    if (number === null || !plan) return []
    const outputs = this.together.shows({ number, plan, offset_ms: this.clock.now() - Date.now() })
    const of = JSON.stringify(outputs.map((one) => [one.number, one.plan]))
    if (of !== this.toldOf) this.tell()
    this.toldOf = of
    return outputs
  }

  poll = async (): Promise<void> => {
    this.outputs()
    try {
      const orders = await fetchOrders(this.identity)
      this.kept.surface = orders.surface ?? ''
      this.kept.actsAt = orders.acts ?? null
      this.taking.orders(orders)
    } catch (error) {
      if (error instanceof Error && error.message === '404') await this.pairAgain()
    }
    if (!this.held && !this.kept.next && !this.asks)
      this.page.word.textContent = say('waiting', { player: this.identity.name })
  }

  pollActs = async (): Promise<void> => {
    const at = this.kept.actsAt
    const file = at === null ? null : await fetchActs(at).catch(() => null)
    if (file === null || !this.acts.hear(file)) return
    this.kept.acts = this.acts.file
    await saveKept(this.purpose.player, this.kept)
  }

  private async pairAgain(): Promise<void> {
    const paired = await askToBe(this.purpose.player, this.identity).catch(() => null)
    if (paired === null) return
    if (typeof paired !== 'string') {
      if (paired.orders !== this.identity.orders) this.taking.forget()
      this.identity = paired
    }
    if (typeof paired === 'string' || this.asks) this.page.word.textContent = typeof paired === 'string' ? paired : ''
    this.asks = typeof paired === 'string'
    if (this.asks) this.page.card.ask()
  }

  /** Soon, since something is another: what it tells otherwise once a minute. */
  private tell(): void {
    clearTimeout(this.tells)
    this.tells = setTimeout(() => void this.proof(), TELLS_AFTER_MS)
  }

  proof = async (): Promise<void> => {
    if (!this.held || !this.shows || this.shown.scene === '') return
    const now = this.clock.now()
    const outputs = this.outputs()
    const act = this.shows.why === 'act' ? this.acts.now('standby', now, this.clock.sure) : null
    const almanac = this.dates?.content as Almanac | undefined
    await sendProof(this.purpose.player, this.identity, {
      release: this.shows.plan.release,
      plan: this.shows.plan.sha256,
      programme: this.held.number === 0 ? null : this.held.sha256,
      at_ms: now,
      offset_ms: this.clock.offsetMs(Date.now()),
      stepped: this.clock.stepped,
      ...this.shown,
      ...(outputs.length ? { outputs } : {}),
      ...(act ? { act: act.id } : {}),
      ...(this.clock.sure ? {} : { unconfirmed: true }),
      ...(almanac && isOver(almanac, now) ? { almanac_over: true } : {}),
    }).catch(() => undefined)
  }

  time = async (): Promise<void> => {
    try {
      const heard = await askTime()
      const wasSure = this.clock.sure
      this.clock.frozen = heard.frozen
      this.clock.hear(heard.serverMs, heard.atMonotonic)
      this.kept.offset = this.clock.offsetMs(Date.now())
      this.together.heard(this.kept.offset)
      if (!wasSure) this.tell()
    } catch {
      // The server is away: the last known offset goes on holding.
    }
    // What the server said holds, also when it went back; what a machine believes by itself only goes on.
    const now = this.clock.now()
    this.kept.latest = this.clock.sure ? now : Math.max(this.kept.latest ?? 0, now)
    await saveKept(this.purpose.player, this.kept)
  }
}
