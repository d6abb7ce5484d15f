import { drawItem, steerVideo, tickClock, type MediaUrl } from './draw'
import { showing } from './phase'
import type { Item, ZonePlan } from './types'

const KEPT_ITEMS = 8

/** One zone on the stage: its items as DOM, made when they are near, dropped when they are far. */
class StageZone {
  readonly element = document.createElement('div')
  private drawn = new Map<number, HTMLElement>()
  private current = -1

  constructor(private plan: ZonePlan, private readonly mediaUrl: MediaUrl) {
    this.element.className = 'pane-zone'
    this.element.dataset.zone = plan.id
    this.place()
  }

  update(plan: ZonePlan): void {
    if (plan === this.plan) return
    this.plan = plan
    for (const box of this.drawn.values()) this.drop(box)
    this.drawn.clear()
    this.current = -1
    this.place()
  }

  private place(): void {
    const [x, y, width, height] = this.plan.rect
    Object.assign(this.element.style, { left: `${x}px`, top: `${y}px`, width: `${width}px`, height: `${height}px` })
  }

  /** Returns the entry that shows, for the proof. */
  at(tMs: number, nowMs: number, running: boolean): string | null {
    const now = showing(this.plan, tMs)
    const item = this.plan.items[now.index]
    if (!item) return null
    const box = this.box(now.index)
    const fade = item.transition.kind === 'fade' && now.enters ? item.transition.ms : 0
    const previous = now.sinceMs < fade && this.plan.items.length > 1 ? (now.index + this.plan.items.length - 1) % this.plan.items.length : -1
    if (this.current !== now.index) this.turnTo(now.index, box)
    for (const [index, other] of this.drawn) other.hidden = index !== now.index && index !== previous
    box.style.opacity = fade > 0 && now.sinceMs < fade ? String(now.sinceMs / fade) : ''
    if (previous >= 0) {
      const under = this.box(previous)
      under.hidden = false
      under.style.opacity = ''
      this.move(under, this.plan.items[previous], (this.plan.items[previous]?.ms ?? 0) + now.sinceMs, nowMs, false)
    }
    this.move(box, item, now.sinceMs, nowMs, running)
    if (now.leftMs !== null && now.leftMs < 3000 && this.plan.items.length > 1) this.box((now.index + 1) % this.plan.items.length)
    return item.entry
  }

  private move(box: HTMLElement, item: Item | undefined, sinceMs: number, nowMs: number, running: boolean): void {
    if (!item) return
    if (item.kind === 'clock') tickClock(box, item, nowMs)
    if (item.kind === 'video') steerVideo(box, item, sinceMs, running)
  }

  private turnTo(index: number, box: HTMLElement): void {
    this.current = index
    this.element.append(box)
    const far = [...this.drawn.keys()].filter((known) => known !== index).slice(0, -KEPT_ITEMS)
    for (const known of far) {
      this.drop(this.drawn.get(known))
      this.drawn.delete(known)
    }
    for (const [known, other] of this.drawn) if (known !== index) other.querySelector('video')?.pause()
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

  private drop(box: HTMLElement | undefined): void {
    box?.querySelector('video')?.removeAttribute('src')
    box?.remove()
  }

  remove(): void {
    for (const box of this.drawn.values()) this.drop(box)
    this.element.remove()
  }
}

/** The one renderer: bench, previews and player all draw plans with it. */
export class Stage {
  private zones = new Map<string, StageZone>()

  constructor(private readonly root: HTMLElement, private readonly mediaUrl: MediaUrl) {
    root.classList.add('pane-stage')
  }

  /** Takes zones over; those with the same plan object stay as they are. */
  show(canvas: [number, number], plans: ZonePlan[]): void {
    Object.assign(this.root.style, { width: `${canvas[0]}px`, height: `${canvas[1]}px` })
    const wanted = new Set(plans.map((plan) => plan.id))
    for (const [id, zone] of this.zones) {
      if (!wanted.has(id)) {
        zone.remove()
        this.zones.delete(id)
      }
    }
    for (const plan of plans) {
      const known = this.zones.get(plan.id)
      if (known) known.update(plan)
      else {
        const zone = new StageZone(plan, this.mediaUrl)
        this.zones.set(plan.id, zone)
        this.root.append(zone.element)
      }
    }
  }

  /** Draws t ms after the scene began; `nowMs` is what clocks show. Returns what each zone shows. */
  at(tMs: number, nowMs: number, running: boolean): Record<string, string | null> {
    const shown: Record<string, string | null> = {}
    for (const [id, zone] of this.zones) shown[id] = zone.at(tMs, nowMs, running)
    return shown
  }

  element(zone: string): HTMLElement | undefined {
    return this.zones.get(zone)?.element
  }
}
