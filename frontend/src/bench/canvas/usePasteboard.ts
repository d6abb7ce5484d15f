import { onBeforeUnmount, onMounted } from 'vue'
import type { Fill } from '../../api/types'
import { useDesign } from '../store/design'
import { useFloats, type Copied } from '../store/useFloats'

const ZONES = 'upper-pane/zones'
const FILL = 'upper-pane/fill'
const MOST_SIGNS = 1_000_000

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.matches('input, textarea, select, [contenteditable]')

/**
 * Copies the chosen floats as text, and puts them back into any scene of any design, also by way of a mail; of a chosen
 * pane what it shows, which is put into the zone that is chosen then. What is pasted is judged by the core as all input
 * is; any other text becomes a text of its own.
 */
export function usePasteboard(mayEdit: () => boolean, wrong: (reason: 'long' | 'version') => void): void {
  const design = useDesign()
  const floats = useFloats()

  function take(event: ClipboardEvent): void {
    if (isTyping(event.target) || !getSelection()?.isCollapsed) return
    const zones = design.chosen.filter(floats.isFloat)
    const pane = zones.length ? null : design.selected
    const fill = design.document?.fill
    if (!zones.length && (!pane || !fill || fill.kind === 'empty')) return
    const copied = pane ? { [FILL]: 1, fill } : { [ZONES]: 1, zones: floats.copied(zones) }
    event.clipboardData?.setData('text/plain', JSON.stringify(copied, null, 1))
    event.preventDefault()
    if (event.type !== 'cut' || !mayEdit()) return
    if (pane) void design.setFill(pane, { kind: 'empty' })
    else void floats.remove(zones)
  }

  function put(event: ClipboardEvent): void {
    const text = event.clipboardData?.getData('text/plain') ?? ''
    if (isTyping(event.target) || !mayEdit() || !design.answer || text.trim() === '') return
    event.preventDefault()
    if (text.length > MOST_SIGNS) return wrong('long')
    const read = parsed(text)
    if (read === 'version') return wrong('version')
    if (read && 'zones' in read) void floats.paste(read.zones)
    else if (read) void (design.selected && design.setFill(design.selected, read.fill))
    else void floats.placeText(text.trim())
  }

  const events = [
    ['copy', take],
    ['cut', take],
    ['paste', put],
  ] as const
  onMounted(() => events.forEach(([name, listener]) => document.addEventListener(name, listener)))
  onBeforeUnmount(() => events.forEach(([name, listener]) => document.removeEventListener(name, listener)))
}

/** Null for what is no copy of ours; `version` for one that another version wrote. */
function parsed(text: string): { zones: Copied[] } | { fill: Fill } | 'version' | null {
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    return null
  }
  if (typeof value !== 'object' || value === null) return null
  if (FILL in value) {
    const { [FILL]: version, fill } = value as { [FILL]: unknown; fill?: Fill }
    return version === 1 && typeof fill?.kind === 'string' ? { fill } : 'version'
  }
  if (!(ZONES in value)) return null
  const { [ZONES]: version, zones } = value as { [ZONES]: unknown; zones?: unknown }
  const isCopy = (one: unknown): one is Copied =>
    typeof one === 'object' &&
    one !== null &&
    'float' in one &&
    'zone' in one &&
    typeof (one as Copied).zone?.fill === 'object'
  return version === 1 && Array.isArray(zones) && zones.every(isCopy) ? { zones } : 'version'
}
