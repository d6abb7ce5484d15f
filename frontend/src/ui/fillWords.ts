import type { Fill } from '../api/types'

/** A short name of what a fill shows. */
export function fillWords(fill: Fill, mediaName: (id: string) => string | undefined): string {
  switch (fill.kind) {
    case 'text':
      return fill.text.split('\n')[0] ?? ''
    case 'clock':
      return fill.pattern
    case 'count':
      return fill.at.replace('T', ' ')
    case 'qr':
      return Object.values(fill.content)[1] ?? ''
    case 'chart':
      return fill.rows.map(([label]) => label).join(', ')
    case 'web':
      return fill.address
    case 'live':
      return 'address' in fill.source ? fill.source.address : fill.source.name
    case 'shape':
      return fill.shape
    case 'colour':
      return fill.colour
    case 'picture':
    case 'video':
      return mediaName(fill.media) ?? '—'
    case 'progress':
    case 'dial':
    case 'empty':
    case 'playlist':
      return ''
  }
}
