import type { Fill } from '../../api/types'
import type { Item } from '../../plan/types'

/** A section of the particulars that a fill has fields in. */
export type Section = 'fill' | 'look' | 'time'

/** Into which sections of the particulars the fields of a kind go beside *Fill*. */
const PARTS: Record<Fill['kind'], { look: boolean; time: boolean }> = {
  empty: { look: false, time: false },
  colour: { look: false, time: false },
  picture: { look: true, time: false },
  video: { look: true, time: true },
  text: { look: true, time: true },
  clock: { look: true, time: false },
  count: { look: true, time: false },
  dial: { look: false, time: false },
  progress: { look: false, time: false },
  qr: { look: false, time: false },
  shape: { look: false, time: false },
  chart: { look: false, time: false },
  web: { look: false, time: false },
  live: { look: false, time: false },
  playlist: { look: false, time: false },
}
export const partsOf = (kind: Fill['kind']): { look: boolean; time: boolean } => PARTS[kind]

/** What is in *Fill* and in *Look*, in a line each. */
export function summary(
  fill: Fill,
  item: Item | undefined,
  t: (key: string) => string,
): { fill: string; look: string } {
  const kind = t(`fill.${fill.kind}`)
  if (fill.kind === 'text') {
    const words = fill.text.trim().replace(/\s+/g, ' ')
    return { fill: words || kind, look: `${fill.font} ${fill.weight} · ${t(`fill.${fill.align}`)}` }
  }
  if (fill.kind === 'clock' || fill.kind === 'count')
    return { fill: `${kind} · ${fill.pattern}`, look: `${fill.font} ${fill.weight} · ${t(`fill.${fill.align}`)}` }
  if (fill.kind === 'picture' || fill.kind === 'video')
    return {
      fill: `${kind} · ${t(`fill.${fill.fit}`)}`,
      look: item && 'ground' in item && item.ground ? item.ground : t('fill.none-ground'),
    }
  return { fill: kind, look: '' }
}
