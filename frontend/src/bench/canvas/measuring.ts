import { tellMeasures } from '../../api/sites'
import { faceName } from '../../plan/faces'
import type { ZonePlan } from '../../plan/types'

const SIZE_PX = 1000
/** By site, face and text. */
const told = new Set<string>()
type Line = { font: string; weight: number; text: string }

/**
 * Measures lines whose widths the core can only estimate, once each, and tells it.
 *
 * @returns whether anything was told
 */
export async function measure(site: string, zones: ZonePlan[]): Promise<boolean> {
  const keyOf = ({ font, weight, text }: Line): string => [site, font, weight, text].join('\n')
  const lines = new Map(estimated(zones).map((line) => [keyOf(line), line]))
  for (const key of lines.keys()) if (told.has(key)) lines.delete(key)
  if (lines.size === 0) return false
  for (const key of lines.keys()) told.add(key)
  const taken = await tellMeasures(site, measured([...lines.values()]))
  if (!taken) for (const key of lines.keys()) told.delete(key)
  return taken
}

function estimated(zones: ZonePlan[]): Line[] {
  return zones
    .flatMap((zone) => zone.items)
    .flatMap((item) =>
      item.kind === 'text' && item.approximate && !item.spacing_mpx && !item.lines.some((line) => line.parts)
        ? item.lines.map(({ text }) => ({ font: item.font, weight: item.weight, text }))
        : [],
    )
    .filter((line) => line.text !== '')
}

function measured(lines: Line[]): (Line & { width: number })[] {
  const span = document.body.appendChild(document.createElement('span'))
  Object.assign(span.style, { position: 'absolute', visibility: 'hidden', whiteSpace: 'pre' })
  const widths = lines.map((line) => {
    span.style.font = `${line.weight} ${SIZE_PX}px "${faceName(line.font)}"`
    span.textContent = line.text
    return { ...line, width: Math.ceil(span.getBoundingClientRect().width) }
  })
  span.remove()
  return widths
}
