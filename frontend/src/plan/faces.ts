import type { Drawing } from './types'

/** Design faces carry a prefix, so that a face of the same name on the machine is never taken for them. */
export const faceName = (family: string): string => `Pane ${family}`

/** The faces that an item is written in, by family and weight. */
export function facesOf(item: Drawing): string[] {
  if (!('font' in item)) return []
  const others =
    'lines' in item ? item.lines.flatMap((line) => line.parts ?? []).flatMap((part) => part.weight ?? []) : []
  return [item.weight, ...others].map((weight) => `${item.font} ${weight}`)
}

const loading = new Map<string, Promise<void>>()

/** Loads a whole face from the app; resolves when text can be drawn with it. */
export function loadFace(face: { family: string; weight: number; file: string }): Promise<void> {
  const known = loading.get(face.file)
  if (known) return known
  const font = new FontFace(faceName(face.family), `url(/fonts/${face.file})`, {
    weight: String(face.weight),
    display: 'block',
  })
  const loaded = font.load().then((ready) => {
    document.fonts.add(ready)
  })
  loading.set(face.file, loaded)
  loaded.catch(() => loading.delete(face.file))
  return loaded
}
