import { drawItem, type MediaUrl } from './draw'
import { midnightBefore, sceneAt, type InTime } from './phase'
import { StageZone, type ShareOf } from './stageZone'
import { enter, entersForMs, settle } from './transitions'
import type { Dates, Drawing, Now, Plan, RoundPlan, ScenePlan } from './types'

/** What the renderer needs of a plan. */
export type Shown = Pick<Plan, 'canvas' | 'scenes' | 'round'> & { dates: Dates }
/** What is on screen, for the proof. */
export interface Showing {
  scene: string
  zones: Record<string, string | null>
}

/** One scene on the stage: its ground and its zones. */
class StageScene {
  readonly element = document.createElement('div')
  private readonly zones = new Map<string, StageZone>()
  private ground: HTMLElement | null = null
  private grounded: Drawing | null = null
  private ms: number | null = null
  private corner: HTMLElement | null = null
  private marked = ''

  constructor(private readonly mediaUrl: MediaUrl) {
    this.element.className = 'pane-scene'
  }

  /** Takes zones over; those with the same plan object stay as they are. */
  show(plan: ScenePlan): void {
    this.ms = plan.ms
    if (plan.ground !== this.grounded) {
      this.ground?.remove()
      this.ground = drawItem(
        { entry: null, ms: null, transition: { kind: 'cut', ms: 0 }, ...plan.ground },
        this.mediaUrl,
      )
      this.ground.classList.add('pane-ground')
      this.grounded = plan.ground
      this.element.prepend(this.ground)
    }
    const [x, y, width, height] = plan.place
    Object.assign(this.ground?.style ?? {}, {
      left: `${x}px`,
      top: `${y}px`,
      width: `${width}px`,
      height: `${height}px`,
    })
    this.mark(plan)
    const wanted = new Set(plan.zones.map((zone) => zone.id))
    for (const [id, zone] of this.zones) {
      if (wanted.has(id)) continue
      zone.remove()
      this.zones.delete(id)
    }
    for (const zone of plan.zones) {
      const known = this.zones.get(zone.id)
      if (known) known.update(zone)
      else {
        const made = new StageZone(zone, this.mediaUrl)
        this.zones.set(zone.id, made)
        this.element.append(made.element)
      }
    }
  }

  private mark({ mark }: ScenePlan): void {
    const said = mark ? JSON.stringify(mark) : ''
    if (said === this.marked) return
    this.marked = said
    this.corner?.remove()
    this.corner = null
    if (!mark) return
    const [x, y, width, height] = mark.rect
    this.corner = drawItem(
      { entry: null, ms: null, transition: { kind: 'cut', ms: 0 }, ...mark.drawing },
      this.mediaUrl,
    )
    this.corner.classList.add('pane-mark')
    Object.assign(this.corner.style, {
      left: `${x}px`,
      top: `${y}px`,
      width: `${width}px`,
      height: `${height}px`,
    })
    this.element.append(this.corner)
  }

  /** Zones that run on count from the site's midnight. */
  at(tMs: number, now: Now, running: boolean): Record<string, string | null> {
    const shown: Record<string, string | null> = {}
    const since = (zone: StageZone): number => (zone.runsOn ? now.ms - now.midnight : tMs)
    const leader = (zone: StageZone): InTime | undefined => {
      const one = zone.leader === undefined ? undefined : this.zones.get(zone.leader)
      return one?.inTime(since(one), now)
    }
    const share: ShareOf = (of, whole) => {
      if (of === 'scene') return this.ms ? Math.min(1, tMs / this.ms) : 0
      const zone = this.zones.get(of)
      return zone ? zone.share(since(zone), now, whole, leader(zone)) : 0
    }
    for (const [id, zone] of this.zones) shown[id] = zone.at(since(zone), now, running, share, leader(zone))
    return shown
  }

  hide(hidden: boolean): void {
    if (hidden && !this.element.hidden) for (const zone of this.zones.values()) zone.pause()
    this.element.hidden = hidden
  }

  zone(id: string): HTMLElement | undefined {
    return this.zones.get(id)?.element
  }

  remove(): void {
    for (const zone of this.zones.values()) zone.remove()
    this.element.remove()
  }
}

/** The one renderer: bench, previews and player all draw plans with it. */
export class Stage {
  private readonly scenes = new Map<string, StageScene>()
  private plan: Shown = {
    canvas: [1, 1],
    scenes: {},
    round: { scenes: [], cycle_ms: null },
    dates: { days: [], offsets: [] },
  }

  constructor(
    private readonly root: HTMLElement,
    private readonly mediaUrl: MediaUrl,
  ) {
    root.classList.add('pane-stage')
  }

  /** Scenes are drawn when their turn comes; those that are drawn take over what changed. */
  show(plan: Shown): void {
    this.plan = plan
    Object.assign(this.root.style, { width: `${plan.canvas[0]}px`, height: `${plan.canvas[1]}px` })
    for (const [id, scene] of this.scenes) {
      const next = plan.scenes[id]
      if (next) scene.show(next)
      else {
        scene.remove()
        this.scenes.delete(id)
      }
    }
  }

  clear(): void {
    this.show({ ...this.plan, scenes: {}, round: { scenes: [], cycle_ms: null } })
  }

  /** Draws t ms after the showing began; `nowMs` is what clocks show. */
  at(tMs: number, nowMs: number, running: boolean): Showing {
    const round = this.plan.round
    const now = sceneAt(round, tMs)
    const id = round.scenes[now.index]?.scene ?? ''
    const scene = this.scene(id)
    if (!scene) return { scene: '', zones: {} }
    const { days, offsets, lists = {} } = this.plan.dates
    const at = { ms: nowMs, midnight: midnightBefore(days, nowMs), offsets, lists }
    const transition = this.plan.scenes[id]?.transition
    const forMs = entersForMs(transition, now.enters && round.scenes.length > 1)
    const leaving =
      now.sinceMs < forMs ? round.scenes[(now.index + round.scenes.length - 1) % round.scenes.length] : undefined
    for (const [other, one] of this.scenes) one.hide(other !== id && other !== leaving?.scene)
    if (leaving) this.hold(leaving, now.sinceMs, at)
    scene.hide(false)
    // Moving an element that is last already would stop its videos.
    if (this.root.lastElementChild !== scene.element) this.root.append(scene.element)
    enter(scene.element, transition, now.sinceMs, forMs)
    this.prepare(round, now.index, now.leftMs)
    return { scene: id, zones: scene.at(now.sinceMs, at, running) }
  }

  /** The leaving scene is held underneath. */
  private hold(leaving: RoundPlan['scenes'][number], sinceMs: number, now: Now): void {
    const under = this.scene(leaving.scene)
    if (!under) return
    under.hide(false)
    settle(under.element)
    under.at((leaving.ms ?? 0) + sinceMs, now, false)
  }

  /** The next scene is drawn a little before it comes, so that its pictures are there. */
  private prepare(round: RoundPlan, index: number, leftMs: number | null): void {
    const next = round.scenes[(index + 1) % round.scenes.length]
    if (leftMs === null || leftMs > 3000 || !next || this.scenes.has(next.scene)) return
    this.scene(next.scene)?.hide(true)
  }

  private scene(id: string): StageScene | undefined {
    const plan = this.plan.scenes[id]
    let scene = this.scenes.get(id)
    if (!scene && plan) {
      scene = new StageScene(this.mediaUrl)
      scene.show(plan)
      this.scenes.set(id, scene)
      this.root.append(scene.element)
    }
    return scene
  }

  element(zone: string): HTMLElement | undefined {
    for (const scene of this.scenes.values()) if (!scene.element.hidden && scene.zone(zone)) return scene.zone(zone)
    return undefined
  }
}
