import { reach } from './elsewhere'
import { STAND_INS, tone } from './standIns'
import type { Drawings } from './types'

const FIT = { contain: 'contain', cover: 'cover', stretch: 'fill', none: 'none' } as const
const AGAIN_MS = 10_000
/** Broader pictures of a stand-in would cost frames and show nothing more. */
const BROADEST = 1280

/** A stand-in is drawn; a stream or a device plays, and is seen only while its picture comes. */
export function drawLive(item: Drawings['live']): HTMLElement[] {
  if (item.source.as === 'stream' && item.source.address === '') return []
  const picture = document.createElement(item.source.as === 'stand-in' ? 'canvas' : 'video')
  Object.assign(picture.style, {
    position: 'absolute',
    inset: '0',
    width: '100%',
    height: '100%',
    objectFit: FIT[item.fit],
  })
  if (picture instanceof HTMLVideoElement) {
    picture.muted = !item.sound
    picture.playsInline = true
    picture.disablePictureInPicture = true
    picture.style.visibility = 'hidden'
    const seen = (is: boolean): void => void (picture.style.visibility = is ? '' : 'hidden')
    picture.addEventListener('playing', () => seen(true))
    for (const gone of ['error', 'ended', 'emptied']) picture.addEventListener(gone, () => seen(false))
  }
  return [picture]
}

const tries = new WeakMap<HTMLVideoElement, number>()

export function steerLive(box: HTMLElement, item: Drawings['live'], nowMs: number, running: boolean): void {
  const picture = box.querySelector<HTMLCanvasElement | HTMLVideoElement>(':scope > canvas, :scope > video')
  if (picture instanceof HTMLCanvasElement && item.source.as === 'stand-in') drawStandIn(picture, item, nowMs, running)
  if (!(picture instanceof HTMLVideoElement) || nowMs < (tries.get(picture) ?? 0)) return
  const plays = !picture.error && !picture.ended && (picture.srcObject || picture.getAttribute('src'))
  tries.set(picture, nowMs + AGAIN_MS)
  if (!plays) void open(picture, item)
  else if (running && picture.paused) void picture.play().catch(() => undefined)
}

async function open(video: HTMLVideoElement, { source }: Drawings['live']): Promise<void> {
  try {
    if (source.as === 'stream') await openStream(video, source.address)
    else if (source.as === 'device' && reach.devices) video.srcObject = await device(source.name)
    await video.play()
  } catch {
    video.style.visibility = 'hidden'
  }
}

/** HLS by the browser itself where it can, else by a library that is fetched only then. */
async function openStream(video: HTMLVideoElement, address: string): Promise<void> {
  const isList = new URL(address).pathname.endsWith('.m3u8')
  if (!isList || video.canPlayType('application/vnd.apple.mpegurl') !== '') {
    video.src = address
    return
  }
  const { default: Hls } = await import('hls.js')
  const stream = new Hls({ enableWorker: false })
  stream.loadSource(address)
  stream.attachMedia(video)
  stream.on(Hls.Events.ERROR, (_event, error) => {
    if (error.fatal) stream.destroy()
  })
}

/** Names of devices are told only after one was opened. */
async function device(name: string): Promise<MediaStream> {
  const any = await navigator.mediaDevices.getUserMedia({ video: true })
  const known = await navigator.mediaDevices.enumerateDevices()
  const wanted = known.find((one) => one.kind === 'videoinput' && one.label === name)
  any.getTracks().forEach((track) => track.stop())
  if (!wanted) throw new Error(name)
  return navigator.mediaDevices.getUserMedia({ video: { deviceId: { exact: wanted.deviceId } } })
}

function drawStandIn(canvas: HTMLCanvasElement, item: Drawings['live'], nowMs: number, running: boolean): void {
  const { offsetWidth: width, offsetHeight: height } = canvas
  const share = Math.min(1, BROADEST / Math.max(1, width))
  const [w, h] = [Math.round(width * share), Math.round(height * share)]
  const frame = String(Math.floor(nowMs / 40))
  if (w === 0 || h === 0 || (canvas.dataset['frame'] === frame && canvas.width === w && canvas.height === h)) return
  canvas.dataset['frame'] = frame
  if (canvas.width !== w || canvas.height !== h) [canvas.width, canvas.height] = [w, h]
  const pen = canvas.getContext('2d')
  if (pen && item.source.as === 'stand-in') STAND_INS[item.source.name](pen, w, h, nowMs)
  if (item.source.as === 'stand-in' && item.source.name === 'television') tone(canvas, item.sound && running)
}
