import { clockText, countText } from './clock'
import { drawWeb } from './elsewhere'
import { faceName } from './faces'
import { drawChart, drawDial, drawProgress, drawQr, drawShape, tickDial } from './figures'
import { drawLive } from './live'
import type { Drawing, DrawingKind, Drawings, Item, Now, Rect, Still, SubItem, TextLine, TextLook } from './types'

export type MediaUrl = (sha256: string) => string

const px = (thousandths: number): string => `${thousandths / 1000}px`

type Drawer<Kind extends DrawingKind> = (drawing: Drawings[Kind], mediaUrl: MediaUrl) => Element[]

/** How each kind is drawn; a kind that is missing here does not compile. */
const DRAWERS: { [Kind in DrawingKind]: Drawer<Kind> } = {
  standby: () => [],
  colour: () => [],
  picture: (item, mediaUrl) => [
    ...drawBehind(item, mediaUrl),
    framed(drawPicture(mediaUrl(item.sha256), item.drawn_mpx), item.window_mpx),
  ],
  video: (item, mediaUrl) => [framed(drawVideo(mediaUrl(item.sha256), item.drawn_mpx, item.sound), item.window_mpx)],
  text: (item) => {
    const lines = [
      ...drawPlate(item),
      ...item.lines.map((line) => drawLine(line, item, [line.x_mpx, line.y_mpx, line.width_mpx, item.line_mpx])),
    ]
    if (!item.ticker) return lines
    const moving = document.createElement('div')
    moving.className = 'pane-moving'
    moving.append(...lines)
    return [moving]
  },
  clock: drawOneLine,
  count: drawOneLine,
  dial: drawDial,
  progress: drawProgress,
  qr: drawQr,
  shape: (item) => [...drawShape(item), ...drawLabel(item)],
  chart: (item) => [
    drawChart(item),
    ...item.words.map((word) =>
      drawLine(word, { ...item, ...word }, [word.x_mpx, word.y_mpx, word.width_mpx, word.line_mpx]),
    ),
  ],
  web: (item, mediaUrl) => [...drawStill(item.still, mediaUrl), ...drawWeb(item, mediaUrl)],
  live: (item, mediaUrl) => [...drawStill(item.still, mediaUrl), ...drawLive(item)],
}

/** One item as DOM, sized in canvas px. */
export function drawItem(item: Item, mediaUrl: MediaUrl): HTMLElement {
  const box = document.createElement('div')
  box.className = `pane-item pane-${item.kind}`
  if ('ground' in item) box.style.background = item.ground ?? 'transparent'
  if (item.kind === 'colour') box.style.background = item.colour
  box.append(...(DRAWERS[item.kind] as Drawer<DrawingKind>)(item, mediaUrl))
  for (const part of item.parts ?? []) box.append(drawPart(item, part, mediaUrl))
  return box
}

/** A part of a row is drawn as an item of its own, in its place. */
function drawPart(item: Item, { rect, drawing }: SubItem, mediaUrl: MediaUrl): HTMLElement {
  const frame = document.createElement('div')
  frame.className = 'pane-part'
  place(frame, rect.map((side) => side * 1000) as Rect)
  frame.append(drawItem(within(item, drawing), mediaUrl))
  return frame
}
const within = ({ entry, ms, transition }: Item, drawing: Drawing): Item => ({ entry, ms, transition, ...drawing })

/** The boxes of an item and of the parts of its rows, each with what it draws. */
export function boxesOf(box: HTMLElement, item: Item): [HTMLElement, Item][] {
  if (!item.parts) return [[box, item]]
  const frames = [...box.children].slice(-item.parts.length)
  return [
    [box, item],
    ...item.parts.map(({ drawing }, index): [HTMLElement, Item] => [
      frames[index]!.firstElementChild as HTMLElement,
      within(item, drawing),
    ]),
  ]
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

/** A cropped one: only what is in its window is seen. */
function framed(drawn: HTMLElement, window: Rect | undefined): HTMLElement {
  if (!window) return drawn
  const frame = document.createElement('div')
  place(frame, window)
  frame.style.overflow = 'hidden'
  drawn.style.left = `calc(${drawn.style.left} - ${px(window[0])})`
  drawn.style.top = `calc(${drawn.style.top} - ${px(window[1])})`
  frame.append(drawn)
  return frame
}

function drawBehind({ sha256, behind }: Drawings['picture'], mediaUrl: MediaUrl): HTMLElement[] {
  if (!behind) return []
  const blurred = drawPicture(mediaUrl(sha256), behind.drawn_mpx)
  blurred.style.filter = `blur(${px(behind.blur_mpx)})`
  return [blurred]
}

const drawStill = (still: Still | null, mediaUrl: MediaUrl): Element[] =>
  still ? [drawPicture(mediaUrl(still.sha256), still.drawn_mpx)] : []

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

function drawOneLine(item: Drawings['clock'] | Drawings['count']): HTMLElement[] {
  const line = drawLine({ text: '' }, item, item.box_mpx)
  // Flex keeps a line that is too wide centred on its box; text-align would push it out on one side.
  Object.assign(line.style, {
    display: 'flex',
    justifyContent: { left: 'flex-start', centre: 'center', right: 'flex-end' }[item.align],
  })
  return [...drawPlate(item), line]
}

function drawPlate({ plate }: TextLook): HTMLElement[] {
  if (!plate) return []
  const box = document.createElement('div')
  place(box, plate.rect_mpx)
  Object.assign(box.style, { background: plate.colour, borderRadius: px(plate.radius_mpx) })
  return [box]
}

function drawLabel({ label }: Drawings['shape']): HTMLElement[] {
  if (!label) return []
  const box = document.createElement('div')
  place(box, label.rect_mpx)
  box.append(
    ...drawPlate(label),
    ...label.lines.map((line) => drawLine(line, label, [line.x_mpx, line.y_mpx, line.width_mpx, label.line_mpx])),
  )
  return [box]
}

type Words = Pick<TextLine, 'text' | 'parts'>

function drawLine(words: Words, look: TextLook, rect: Rect): HTMLElement {
  const line = document.createElement('div')
  write(line, words)
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
  if (look.spacing_mpx) line.style.letterSpacing = px(look.spacing_mpx)
  // Half of a stroke lies inside the letters, which are painted over it.
  if (look.outline)
    Object.assign(line.style, {
      webkitTextStroke: `${px(2 * look.outline.width_mpx)} ${look.outline.colour}`,
      paintOrder: 'stroke fill',
      strokeLinejoin: 'round',
    })
  if (look.shadow) {
    const { x_mpx: x, y_mpx: y, blur_mpx: blur, colour } = look.shadow
    line.style.textShadow = `${px(x)} ${px(y)} ${px(blur)} ${colour}`
  }
  if (look.gradient) shade(line, words, look.gradient, look.colour, rect)
  return line
}

/** Over letters with an outline or a shadow lie the same ones without: a browser paints these over a gradient. */
function shade(
  line: HTMLElement,
  words: Words,
  gradient: NonNullable<TextLook['gradient']>,
  from: string,
  rect: Rect,
): void {
  const over = document.createElement('div')
  write(over, words)
  const [x, y, width, height] = gradient.rect_mpx
  Object.assign(over.style, {
    position: 'absolute',
    inset: '0',
    display: 'inherit',
    justifyContent: 'inherit',
    webkitTextStroke: '0',
    textShadow: 'none',
    webkitTextFillColor: 'transparent',
    backgroundImage: `linear-gradient(${90 + gradient.angle}deg, ${from}, ${gradient.to})`,
    backgroundSize: `${px(width)} ${px(height)}`,
    backgroundPosition: `${px(x - rect[0])} ${px(y - rect[1])}`,
    backgroundRepeat: 'no-repeat',
    backgroundClip: 'text',
  })
  // Letters of a colour of their own keep it.
  for (const part of over.children)
    if (part instanceof HTMLElement && part.style.color) part.style.webkitTextFillColor = part.style.color
  line.append(over)
}

function write(line: HTMLElement, { text, parts }: Words): void {
  // Also an empty text is a node, which a clock then changes.
  if (!parts) return line.replaceChildren(text)
  line.replaceChildren(
    ...parts.map((part) => {
      const span = document.createElement('span')
      span.textContent = part.text
      if (part.weight) span.style.fontWeight = String(part.weight)
      if (part.colour) span.style.color = part.colour
      return span
    }),
  )
}

/** What goes by the time of day. */
export function tick(box: HTMLElement, item: Item, now: Now): void {
  if ('until_ms' in item && item.until_ms !== undefined) box.classList.toggle('pane-over', now.ms >= item.until_ms)
  // No clock shows a time before the site's offset is known.
  if (item.kind === 'dial' || item.kind === 'clock') box.style.visibility = now.offsets.length > 0 ? '' : 'hidden'
  if (item.kind === 'dial') tickDial(box, item, now)
  if (item.kind === 'clock') change(box.lastElementChild, clockText(item.tokens, now.offsets, now.ms))
  if (item.kind === 'count') change(box.lastElementChild, countText(item.tokens, item.at_ms, item.up, now.ms))
}

/** What is written, in all its layers. */
function change(line: Element | null, text: string): void {
  for (const written of [line?.firstChild, line?.lastElementChild?.firstChild])
    if (written instanceof Text && written.data !== text) written.data = text
}

/** While it does not run it is all there: nobody can set a text that has not come yet. */
export function letText(box: HTMLElement, item: Item, sinceMs: number, running: boolean): void {
  if (item.kind !== 'text' || !item.entrance) return
  const { typed, lines } = item.entrance
  const drawn = [...box.children].slice(item.plate ? 1 : 0)
  lines.forEach(({ from_ms: from, ms, rtl }, index) => {
    const line = drawn[index]
    if (!(line instanceof HTMLElement)) return
    const share = running && ms > 0 ? Math.min(1, Math.max(0, (sinceMs - from) / ms)) : 1
    const rest = `${(1 - share) * 100}%`
    line.style.opacity = share === 1 || typed ? '' : String(share)
    line.style.clipPath =
      share === 1 || !typed ? '' : rtl ? `inset(-50% -50% -50% ${rest})` : `inset(-50% ${rest} -50% -50%)`
  })
}

export function moveTicker(box: HTMLElement, item: Item, sinceMs: number): void {
  const moving = box.firstElementChild
  if (item.kind !== 'text' || !item.ticker || !(moving instanceof HTMLElement)) return
  const { from_mpx: from, to_mpx: to, ms, ahead_ms: ahead } = item.ticker
  const share = ((sinceMs + ahead) % ms) / ms
  const at = (axis: 0 | 1): number => (from[axis] + (to[axis] - from[axis]) * share) / 1000
  moving.style.transform = `translate3d(${at(0)}px, ${at(1)}px, 0)`
}
