import { call } from '../api/client'
import { faceName } from '../plan/faces'
import type { ZonePlan } from '../plan/types'

const SIZE_PX = 1000
const told = new Set<string>()
type Line = { font: string; weight: number; text: string; width: number }
const keyOf = (line: Omit<Line, 'width'>): string => [line.font, line.weight, line.text].join('\n')

/**
 * Measures lines whose widths the core can only estimate, once each, and tells it.
 *
 * @returns whether anything was told
 */
export async function measure(site: string, zones: ZonePlan[]): Promise<boolean> {
  const span = document.body.appendChild(document.createElement('span'))
  const lines: Line[] = []
  for (const item of zones.flatMap((zone) => zone.items)) {
    if (item.kind !== 'text' || !item.approximate || item.spacing_mpx || item.lines.some((line) => line.parts)) continue
    const { font, weight } = item
    span.style.cssText = 'position: absolute; visibility: hidden; white-space: pre'
    span.style.font = `${weight} ${SIZE_PX}px "${faceName(font)}"`
    for (const { text } of item.lines) {
      const key = keyOf({ font, weight, text })
      if (text === '' || told.has(key)) continue
      told.add(key)
      span.textContent = text
      lines.push({ font, weight, text, width: Math.ceil(span.getBoundingClientRect().width) })
    }
  }
  span.remove()
  if (lines.length === 0) return false
  return call('POST', `/api/sites/${site}/measures`, { lines }).then(
    () => true,
    () => {
      lines.forEach((line) => told.delete(keyOf(line)))
      return false
    },
  )
}
