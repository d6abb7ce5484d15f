import { boxesOf, drawItem, letText, moveTicker, tick, type MediaUrl } from './draw'
import { drawEdge, showShare } from './figures'
import { steerWeb } from './elsewhere'
import { steerLive } from './live'
import { showingOf, type InTime, type Showing } from './phase'
import { hush } from './standIns'
import { steerVideo } from './steerVideo'
import { enter, entersForMs, settle } from './transitions'
import type { Item, Now, ZonePlan } from './types'

/** How much has passed of the scene or of a zone's playlist. */
export type ShareOf = (of: string, whole: boolean) => number

const still = (box: HTMLElement): void => box.querySelectorAll('video').forEach((video) => video.pause())
const KEPT_ITEMS = 8
const NEAR_MS = 3000

/** One zone on the stage: its items as DOM, made when they are near, dropped when they are far. */
export class StageZone {
  readonly element = document.createElement('div')
  private drawn = new Map<number, HTMLElement>()
  private current = -1
  /** The line along the edge of what it is seen in, over everything. */
  private edge: SVGElement | null = null

  constructor(
    private plan: ZonePlan,
    private readonly mediaUrl: MediaUrl,
  ) {
    this.element.className = 'pane-zone'
    this.element.dataset['zone'] = plan.id
    if (plan.float) this.element.classList.add('pane-float')
    this.place()
  }

  get runsOn(): boolean {
    return this.plan.runs_on
  }
  /** Whom it is in step with. */
  get leader(): string | undefined {
    return this.plan.follows?.zone
  }
  inTime(tMs: number, at: Now): InTime {
    return { plan: this.plan, tMs, hours: at.lists[this.plan.id] }
  }

  update(plan: ZonePlan): void {
    if (plan === this.plan) return
    this.plan = plan
    this.element.classList.toggle('pane-float', plan.float)
    for (const box of this.drawn.values()) this.drop(box)
    this.drawn.clear()
    this.current = -1
    this.place()
  }

  private place(): void {
    const [x, y, width, height] = this.plan.rect
    // Panes never overlap: a layer of its own for each would cost frames while they are dragged.
    const zIndex = this.plan.float ? String(this.plan.layer) : ''
    const transform = this.plan.turn ? `rotate(${this.plan.turn / 100}deg)` : ''
    Object.assign(this.element.style, {
      left: `${x}px`,
      top: `${y}px`,
      width: `${width}px`,
      height: `${height}px`,
      transform,
      zIndex,
      opacity: this.plan.opacity === undefined ? '' : String(this.plan.opacity / 1000),
      clipPath: this.plan.clip ? `path("${this.plan.clip.path}")` : '',
    })
    this.edge?.remove()
    this.edge = this.plan.clip?.line ? drawEdge(this.plan.clip.line, width, height) : null
    if (this.edge) this.element.append(this.edge)
  }

  /** Returns the entry that shows, for the proof. */
  at(tMs: number, at: Now, running: boolean, share: ShareOf, leader?: InTime): string | null {
    const now = this.showing(tMs, at, leader)
    const item = now && this.plan.items[now.index]
    if (!item) {
      this.rest()
      return null
    }
    const box = this.box(now.index)
    const forMs = entersForMs(item.transition, now.enters)
    const previous = now.sinceMs < forMs ? (now.previous ?? -1) : -1
    if (this.current !== now.index) this.turnTo(now.index, box)
    for (const [index, other] of this.drawn) other.hidden = index !== now.index && index !== previous
    enter(box, item.transition, now.sinceMs, forMs)
    if (previous >= 0) this.hold(previous, now.previousMs + now.sinceMs, at)
    this.move(box, item, now.sinceMs, at, running, share)
    if (now.leftMs !== null && now.leftMs < NEAR_MS && now.next !== null) this.box(now.next)
    return item.entry
  }

  private showing(tMs: number, at: Now, leader?: InTime): Showing | null {
    return showingOf(this.inTime(tMs, at), leader, at.ms)
  }

  /** Where nothing of a list is on, what lies under the zone is seen. */
  private rest(): void {
    if (this.current === -1) return
    this.pause()
    for (const box of this.drawn.values()) box.hidden = true
    this.current = -1
  }

  /** The leaving item is held underneath at its end. */
  private hold(index: number, playedMs: number, now: Now): void {
    const under = this.box(index)
    under.hidden = false
    settle(under)
    this.move(under, this.plan.items[index], playedMs, now, false)
  }

  /** How much has passed of what it shows, or of its whole round, 0 to 1. */
  share(tMs: number, at: Now, whole: boolean, leader?: InTime): number {
    const cycle = this.plan.cycle_ms
    if (!cycle) return 0
    if (whole) return (tMs % cycle) / cycle
    const now = this.showing(tMs, at, leader)
    return now === null || now.leftMs === null ? 0 : now.sinceMs / Math.max(1, now.sinceMs + now.leftMs)
  }

  private move(
    box: HTMLElement,
    item: Item | undefined,
    sinceMs: number,
    now: Now,
    running: boolean,
    share?: ShareOf,
  ): void {
    if (!item) return
    for (const [own, part] of boxesOf(box, item)) this.moveOne(own, part, sinceMs, now, running, share)
  }

  private moveOne(box: HTMLElement, item: Item, sinceMs: number, now: Now, running: boolean, share?: ShareOf): void {
    tick(box, item, now)
    if (item.kind === 'progress' && share) showShare(box, item, share(item.of, item.whole))
    if (item.kind === 'text') {
      moveTicker(box, item, sinceMs)
      letText(box, item, sinceMs, running)
    }
    if (item.kind === 'web') steerWeb(box, item, sinceMs, now.ms)
    if (item.kind === 'live') steerLive(box, item, now.ms, running)
    if (item.kind === 'video') {
      const video = box.querySelector('video')
      if (video) steerVideo(video, item, sinceMs, running)
    }
  }

  private turnTo(index: number, box: HTMLElement): void {
    this.current = index
    const item = this.plan.items[index]
    this.element.classList.toggle('pane-clear', !!item && 'ground' in item && item.ground === null)
    this.element.append(box)
    const far = [...this.drawn.keys()].filter((known) => known !== index).slice(0, -KEPT_ITEMS)
    for (const known of far) {
      this.drop(this.drawn.get(known))
      this.drawn.delete(known)
    }
    for (const [known, other] of this.drawn) if (known !== index) still(other)
  }

  private box(index: number): HTMLElement {
    let box = this.drawn.get(index)
    const item = this.plan.items[index]
    if (!box && item) {
      box = drawItem(item, this.mediaUrl)
      box.hidden = true
      this.element.prepend(box)
      this.drawn.set(index, box)
    }
    return box ?? this.element
  }

  pause(): void {
    for (const box of this.drawn.values()) still(box)
  }

  private drop(box: HTMLElement | undefined): void {
    for (const video of box?.querySelectorAll('video') ?? []) {
      video.removeAttribute('src')
      if (video.srcObject instanceof MediaStream) video.srcObject.getTracks().forEach((track) => track.stop())
    }
    hush(box?.querySelector('canvas') ?? null)
    box?.remove()
  }

  remove(): void {
    for (const box of this.drawn.values()) this.drop(box)
    this.element.remove()
  }
}
