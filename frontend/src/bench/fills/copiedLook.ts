import { ref } from 'vue'
import type { TextStyle } from '../../api/types'

/** How the text looks that was copied last: all of its style, none of its words. */
const copied = ref<TextStyle>()

const LOOK = [
  'font',
  'weight',
  'size',
  'min_size',
  'mode',
  'line_height',
  'colour',
  'ground',
  'align',
  'valign',
  'padding',
] as const satisfies (keyof TextStyle)[]
const EFFECTS = ['gradient', 'outline', 'shadow', 'plate', 'type', 'space'] as const satisfies (keyof TextStyle)[]

export function useCopiedLook() {
  const copy = (style: TextStyle): void => {
    const look: Record<string, unknown> = { spacing: style.spacing ?? 0 }
    for (const key of LOOK) look[key] = style[key]
    // An effect that the copied text does not have is taken from the other one.
    for (const key of EFFECTS) look[key] = style[key] ?? null
    copied.value = look as unknown as TextStyle
  }
  return { copied, copy }
}
