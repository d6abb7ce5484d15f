import { handsAt } from './clock'
import type { Drawings, Now } from './types'

const SVG = 'http://www.w3.org/2000/svg'

function svg(name: string, attributes: Record<string, string | number>): SVGElement {
  const element = document.createElementNS(SVG, name)
  for (const [key, value] of Object.entries(attributes)) element.setAttribute(key, String(value))
  return element
}

function board(viewBox: string): SVGElement {
  const root = svg('svg', { viewBox, 'aria-hidden': 'true' })
  root.style.cssText = 'position: absolute; inset: 0; width: 100%; height: 100%'
  return root
}

/** Every row's dark stretches as one path, so that no seam shows between modules. */
export function drawQr(item: Drawings['qr']): SVGElement[] {
  if (item.rows.length === 0) return []
  const path = item.rows.flatMap((row, y) =>
    [...row.matchAll(/1+/g)].map((run) => `M${run.index} ${y}h${run[0].length}v1h-${run[0].length}z`),
  )
  const side = item.rows.length
  const root = svg('svg', { viewBox: `0 0 ${side} ${side}`, 'shape-rendering': 'crispEdges', 'aria-hidden': 'true' })
  const length = `${side * item.module_px}px`
  Object.assign(root.style, {
    position: 'absolute',
    left: `${item.place_px[0]}px`,
    top: `${item.place_px[1]}px`,
    width: length,
    height: length,
  })
  root.append(svg('path', { d: path.join(''), fill: item.colour }))
  return [root]
}

let gradients = 0

export function drawShape(item: Drawings['shape']): SVGElement[] {
  const root = board(item.box_mpx.join(' '))
  let fill = item.colour
  if (item.gradient) {
    const id = `pane-gradient-${++gradients}`
    const [x1, y1, x2, y2] = item.gradient.line.map((at) => at / 1000) as [number, number, number, number]
    const gradient = svg('linearGradient', { id, x1, y1, x2, y2 })
    gradient.append(
      svg('stop', { offset: 0, 'stop-color': item.colour }),
      svg('stop', { offset: 1, 'stop-color': item.gradient.to }),
    )
    root.append(gradient)
    fill = `url(#${id})`
  }
  const path = svg('path', { d: item.path, fill })
  if (item.line)
    Object.assign(path.style, {
      stroke: item.line.colour,
      strokeWidth: String(item.line.width_mpx),
      strokeLinejoin: 'round',
    })
  root.append(path)
  return [root]
}

export function drawEdge(
  line: { path: string; colour: string; width_mpx: number },
  width: number,
  height: number,
): SVGElement {
  const root = board(`0 0 ${width * 1000} ${height * 1000}`)
  root.style.zIndex = '1'
  root.append(svg('path', { d: line.path, fill: 'none', stroke: line.colour, 'stroke-width': line.width_mpx }))
  return root
}

export function drawChart(item: Drawings['chart']): SVGElement {
  const root = board(item.box_mpx.join(' '))
  for (const { path, colour, line_mpx: line } of item.figures)
    root.append(
      line > 0
        ? svg('path', { d: path, fill: 'none', stroke: colour, 'stroke-width': line, 'stroke-linejoin': 'round' })
        : svg('path', { d: path, fill: colour }),
    )
  return root
}

/** A dial of 100 units to the radius: twelve marks, two or three hands. */
export function drawDial(item: Drawings['dial']): SVGElement[] {
  const [x, y, radius] = item.circle_mpx.map((at) => at / 1000) as [number, number, number]
  const root = svg('svg', { viewBox: '-100 -100 200 200', 'aria-hidden': 'true' })
  Object.assign(root.style, {
    position: 'absolute',
    left: `${x - radius}px`,
    top: `${y - radius}px`,
    width: `${2 * radius}px`,
    height: `${2 * radius}px`,
  })
  root.append(svg('circle', { r: 99, fill: item.face, stroke: item.hands, 'stroke-width': 2 }))
  for (let hour = 0; hour < 12; hour++) {
    const quarter = hour % 3 === 0
    const size = { x: quarter ? -2.5 : -1, y: -94, width: quarter ? 5 : 2, height: quarter ? 16 : 10 }
    root.append(svg('rect', { ...size, fill: item.hands, transform: `rotate(${hour * 30})` }))
  }
  const hand = (name: string, width: number, length: number, back: number, fill: string): SVGElement => {
    const one = svg('rect', { x: -width / 2, y: -length, width, height: length + back, rx: width / 2, fill })
    one.setAttribute('data-hand', name)
    return one
  }
  root.append(hand('hours', 7, 55, 12, item.hands), hand('minutes', 5, 82, 14, item.hands))
  if (item.seconds) root.append(hand('seconds', 2, 86, 22, item.accent))
  root.append(svg('circle', { r: 4, fill: item.accent }))
  return [root]
}

export function tickDial(box: HTMLElement, item: Drawings['dial'], now: Now): void {
  const angles = handsAt(now.offsets, now.ms)
  box.querySelectorAll('[data-hand]').forEach((hand, index) => {
    const turn = `rotate(${angles[index]})`
    if (hand.getAttribute('transform') !== turn) hand.setAttribute('transform', turn)
  })
}

/** What has passed of one, on a track of the rest. */
export function drawProgress(item: Drawings['progress']): Element[] {
  if (!item.ring_mpx) {
    const bar = document.createElement('div')
    bar.dataset['share'] = ''
    const origin = item.upright ? '50% 100%' : '0 50%'
    bar.style.cssText = `position: absolute; inset: 0; background: ${item.colour}; transform-origin: ${origin}`
    const track = document.createElement('div')
    track.style.cssText = `position: absolute; inset: 0; background: ${item.track}`
    return [track, bar]
  }
  const [x, y, radius, thick] = item.ring_mpx.map((at) => at / 1000) as [number, number, number, number]
  const root = svg('svg', { 'aria-hidden': 'true' })
  root.style.cssText = 'position: absolute; inset: 0; width: 100%; height: 100%'
  const ring = { cx: x, cy: y, r: radius - thick / 2, fill: 'none', 'stroke-width': thick }
  const passed = svg('circle', { ...ring, stroke: item.colour, pathLength: 1, transform: `rotate(-90 ${x} ${y})` })
  passed.setAttribute('data-share', '')
  root.append(svg('circle', { ...ring, stroke: item.track }), passed)
  return [root]
}

export function showShare(box: HTMLElement, item: Drawings['progress'], share: number): void {
  const passed = box.querySelector<HTMLElement | SVGElement>('[data-share]')
  if (!passed) return
  if (item.ring_mpx) passed.setAttribute('stroke-dasharray', `${share} ${2 - share}`)
  else passed.style.transform = item.upright ? `scaleY(${share})` : `scaleX(${share})`
}
