import type { ClockFill, ColourFill, Entry, Fill, MediaFill, MediaLine, TextFill, TextStyle } from '../api/types'

/** What a fresh fill of each kind begins with. */
const style: TextStyle = {
  font: 'Roboto',
  weight: 500,
  size: 72,
  min_size: 24,
  mode: 'wrap_shrink',
  line_height: 1200,
  colour: '#F4F1EA',
  ground: '#1D2A33',
  align: 'left',
  valign: 'middle',
  padding: 40,
}
export const freshText = (text = ''): TextFill => ({ kind: 'text', text, ...style })
const freshClock = (): ClockFill => ({ kind: 'clock', pattern: 'HH:mm', ...style, align: 'centre', size: 160 })
export const freshColour = (): ColourFill => ({ kind: 'colour', colour: '#276B62' })

export function mediaFill(media: MediaLine): MediaFill {
  const common = {
    media: media.id,
    fit: 'contain' as const,
    focus: [50_000, 50_000] as [number, number],
    ground: '#1D2A33',
  }
  return media.mime.startsWith('video/') ? { kind: 'video', ...common, sound: false } : { kind: 'picture', ...common }
}

/** A new entry: content with a length of its own keeps it, anything else stands for ten seconds. */
export const freshEntry = (fill: Fill): Entry => ({
  id: `e-${crypto.randomUUID().slice(0, 8)}`,
  fill,
  duration_ms: fill.kind === 'video' ? null : 10_000,
  enabled: true,
  transition: { kind: 'cut', ms: 0 },
})

export function freshFill(kind: Fill['kind'], before: Fill): Fill {
  switch (kind) {
    case 'text':
      return freshText()
    case 'clock':
      return freshClock()
    case 'colour':
      return freshColour()
    case 'playlist':
      return {
        kind: 'playlist',
        entries: before.kind === 'empty' || before.kind === 'playlist' ? [] : [freshEntry(before)],
      }
    default:
      return { kind: 'empty' }
  }
}
