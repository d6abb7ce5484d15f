import type { Drawings } from './types'

/** What only a player may do: ask whether a page can be reached at all, and open its capture devices. */
export const reach = {
  page: (): Promise<boolean> => Promise.resolve(true),
  devices: false,
  /** How a page that came with the media is called. */
  file: (address: string): string => address,
} as { page: (address: string) => Promise<boolean>; devices: boolean; file: (address: string) => string }
const AGAIN_MS = 30_000
const rounds = new WeakMap<HTMLIFrameElement, { round: number; tryAt: number }>()

/** In a sandbox without an origin: it runs its scripts, keeps nothing, and reaches nothing of ours. */
export function drawWeb(item: Drawings['web'], mediaUrl: (sha256: string) => string): HTMLElement[] {
  if (item.address === '') return []
  const file = item.sha256 ? mediaUrl(item.sha256) : ''
  const frame = document.createElement('iframe')
  frame.setAttribute('sandbox', 'allow-scripts')
  frame.setAttribute('allow', 'autoplay')
  frame.referrerPolicy = 'no-referrer'
  frame.title = item.address
  if (file) frame.dataset['page'] = reach.file(file)
  frame.tabIndex = -1
  const [width, height] = item.window_px
  Object.assign(frame.style, {
    ...{ position: 'absolute', left: '0', top: '0', border: '0', width: `${width}px`, height: `${height}px` },
    ...{ transformOrigin: '0 0', pointerEvents: 'none', visibility: 'hidden' },
    transform: `scale(${item.scale_ppm / 1e6}) translateY(${-item.scroll_px}px)`,
  })
  frame.addEventListener('load', () => {
    if (frame.getAttribute('src')) frame.style.visibility = ''
  })
  return [frame]
}

/** Loads the page when it is first shown and at every refresh; while it cannot be reached, what lies under it shows. */
export function steerWeb(box: HTMLElement, item: Drawings['web'], sinceMs: number, nowMs: number): void {
  const frame = box.querySelector('iframe')
  if (!frame) return
  const round = item.refresh_ms === null ? 0 : Math.floor(sinceMs / item.refresh_ms)
  const known = rounds.get(frame)
  if (known?.round === round && nowMs < known.tryAt) return
  rounds.set(frame, { round, tryAt: Infinity })
  const page = frame.dataset['page']
  void (page ? Promise.resolve(true) : reach.page(item.address)).then((there) => {
    if (there) frame.src = page ?? item.address
    else {
      frame.style.visibility = 'hidden'
      rounds.set(frame, { round, tryAt: nowMs + AGAIN_MS })
    }
  })
}
