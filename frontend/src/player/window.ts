import { sharing } from '../plan/sharing'
import { Stage, type Showing } from '../plan/stage'
import type { MediaUrl } from '../plan/draw'
import type { Dates, DatedPlan, OutputPlan } from '../plan/types'

/** What this window is: a whole player, or one output of it, or that output's test card. */
export interface WindowFor {
  player: string
  output: number | null
  card: boolean
}

export function windowFor(address: URL): WindowFor {
  const output = Number(address.searchParams.get('output'))
  return {
    player: address.pathname.split('/').pop() ?? '',
    output: output > 0 ? output : null,
    card: address.searchParams.has('card'),
  }
}

/**
 * The raster of one output, or the canvas when the window shows the whole player: every slice a stage of its own, cut
 * to its place. From plan to plan it keeps what stays.
 */
export class RasterWindow {
  private stages: Stage[] = []
  private px: [number, number] = [1, 1]
  private plan: DatedPlan<Dates> | null = null
  private cuts = ''

  constructor(
    private readonly root: HTMLElement,
    private readonly mediaUrl: MediaUrl,
    private readonly purpose: WindowFor,
  ) {
    addEventListener('resize', () => this.fit())
  }

  /** False when the release knows no such output. */
  show(plan: DatedPlan<Dates>): boolean {
    const whole: OutputPlan = {
      player: this.purpose.player,
      number: 0,
      px: plan.canvas,
      slices: [{ panel: '', raster: [0, 0, ...plan.canvas], matrix: ['1', '0', '0', '1', '0', '0'] }],
    }
    const output =
      this.purpose.output === null
        ? whole
        : plan.outputs.find((one) => one.player === this.purpose.player && one.number === this.purpose.output)
    const next = sharing(plan, this.plan)
    this.plan = next
    const cuts = JSON.stringify([output?.px, output?.slices])
    if (output && cuts === this.cuts) {
      for (const stage of this.stages) stage.show(next)
      return true
    }
    this.clear()
    if (!output) return false
    this.plan = next
    this.cuts = cuts
    this.px = output.px
    for (const slice of output.slices) {
      const cut = this.root.appendChild(document.createElement('div'))
      const [x, y, width, height] = slice.raster
      Object.assign(cut.style, {
        position: 'absolute',
        overflow: 'hidden',
        left: `${x}px`,
        top: `${y}px`,
        width: `${width}px`,
        height: `${height}px`,
      })
      const root = cut.appendChild(document.createElement('div'))
      const [a, b, c, d, e, f] = slice.matrix.map(Number) as [number, number, number, number, number, number]
      Object.assign(root.style, {
        position: 'absolute',
        transformOrigin: '0 0',
        transform: `matrix(${[a, b, c, d, e - x, f - y].join(', ')})`,
      })
      const stage = new Stage(root, this.mediaUrl)
      stage.show(next)
      this.stages.push(stage)
    }
    this.fit()
    return true
  }

  clear(): void {
    for (const stage of this.stages) stage.clear()
    this.root.replaceChildren()
    this.stages = []
    this.plan = null
    this.cuts = ''
  }

  at(tMs: number, nowMs: number, running: boolean): Showing {
    const shown = this.stages.map((stage) => stage.at(tMs, nowMs, running))
    return shown[0] ?? { scene: '', zones: {} }
  }

  /** The test card, at exactly one raster px per px where the window has the raster's size. */
  async card(): Promise<boolean> {
    const response = await fetch(`/api/play/${this.purpose.player}/cards/${this.purpose.output ?? 1}`)
    if (!response.ok) return false
    const svg = new DOMParser().parseFromString(await response.text(), 'image/svg+xml').documentElement
    this.px = [Number(svg.getAttribute('width')), Number(svg.getAttribute('height'))]
    this.root.replaceChildren(document.importNode(svg, true))
    this.fit()
    return true
  }

  private fit(): void {
    const [width, height] = this.px
    const scale = Math.min(innerWidth / width, innerHeight / height)
    // On whole px, else everything would be blurred.
    const [left, top] = [(innerWidth - width * scale) / 2, (innerHeight - height * scale) / 2].map(Math.round)
    this.root.style.transform = `translate(${left}px, ${top}px) scale(${scale})`
  }
}
