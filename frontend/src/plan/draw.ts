import { clockText } from './clock'
import { faceName } from './faces'
import type { DrawingKind, Drawings, Item, Rect, TextLook } from './types'

export type MediaUrl = (sha256: string) => string

const px = (thousandths: number): string => `${thousandths / 1000}px`

type Drawer<Kind extends DrawingKind> = (drawing: Drawings[Kind], mediaUrl: MediaUrl) => HTMLElement[]

/** How each kind is drawn; a kind that is missing here does not compile. */
const DRAWERS: { [Kind in DrawingKind]: Drawer<Kind> } = {
  standby: () => [],
  colour: () => [],
  picture: (item, mediaUrl) => [drawPicture(mediaUrl(item.sha256), item.drawn_mpx)],
  video: (item, mediaUrl) => [drawVideo(mediaUrl(item.sha256), item.drawn_mpx, item.sound)],
  text: (item) =>
    item.lines.map((line) => drawLine(line.text, item, [line.x_mpx, line.y_mpx, line.width_mpx, item.line_mpx])),
  clock: (item) => {
    const line = drawLine('', item, item.box_mpx)
    // Flex keeps a clock that is too wide centred on its box; text-align would push it out on one side.
    Object.assign(line.style, {
      display: 'flex',
      justifyContent: { left: 'flex-start', centre: 'center', right: 'flex-end' }[item.align],
    })
    return [line]
  },
}

/** One item as DOM, sized in canvas px. */
export function drawItem(item: Item, mediaUrl: MediaUrl): HTMLElement {
  const box = document.createElement('div')
  box.className = `pane-item pane-${item.kind}`
  if ('ground' in item) box.style.background = item.ground
  if (item.kind === 'colour') box.style.background = item.colour
  box.append(...(DRAWERS[item.kind] as Drawer<DrawingKind>)(item, mediaUrl))
  return box
}

function place(element: HTMLElement, [x, y, width, height]: Rect): void {
  Object.assign(element.style, { position: 'absolute', left: px(x), top: px(y), width: px(width), height: px(height) })
}

function drawPicture(url: string, drawn: Rect): HTMLImageElement {
  const picture = new Image()
  picture.src = url
  picture.alt = ''
  picture.draggable = false
  place(picture, drawn)
  return picture
}

function drawVideo(url: string, drawn: Rect, sound: boolean): HTMLVideoElement {
  const video = document.createElement('video')
  video.src = url
  video.muted = !sound
  video.playsInline = true
  video.preload = 'auto'
  video.disablePictureInPicture = true
  video.style.objectFit = 'fill'
  place(video, drawn)
  return video
}

function drawLine(text: string, look: TextLook, rect: Rect): HTMLElement {
  const line = document.createElement('div')
  line.textContent = text
  place(line, rect)
  Object.assign(line.style, {
    color: look.colour,
    fontFamily: `"${faceName(look.font)}"`,
    fontWeight: String(look.weight),
    fontSize: `${look.size}px`,
    lineHeight: px(look.line_mpx),
    whiteSpace: 'pre',
    fontKerning: 'normal',
  })
  return line
}

export function tickClock(box: HTMLElement, item: Item, nowMs: number): void {
  if (item.kind !== 'clock' || !box.firstElementChild) return
  const text = clockText(item.tokens, item.offsets, nowMs)
  if (box.firstElementChild.textContent !== text) box.firstElementChild.textContent = text
}

/** Brings a video to where it should be; small drift is left alone, so that it does not stutter. */
export function steerVideo(box: HTMLElement, item: Item, sinceMs: number, running: boolean): void {
  const video = box.querySelector('video')
  if (item.kind !== 'video' || !video) return
  const wanted = (item.content_ms > 0 ? sinceMs % item.content_ms : 0) / 1000
  const drift = Math.abs(video.currentTime - wanted)
  const tolerance = running ? 0.3 : 0.02
  if (drift > tolerance && Math.abs(drift - item.content_ms / 1000) > tolerance && !video.seeking)
    video.currentTime = wanted
  if (running && video.paused && video.readyState >= 2) void video.play().catch(() => undefined)
  if (!running && !video.paused) video.pause()
}
