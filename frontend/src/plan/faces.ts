import type { Drawing } from './types'

/** Design faces carry a prefix, so that a face of the same name on the machine is never taken for them. */
export const faceName = (family: string): string => `Pane ${family}`

/** The faces that an item is written in, by family and weight. */
export function facesOf(item: Drawing): string[] {
  const written = item.kind === 'shape' ? item.label : item
  if (!written || !('font' in written)) return []
  const lines = 'lines' in written ? written.lines : []
  const others = lines.flatMap((line) => line.parts ?? []).flatMap((part) => part.weight ?? [])
  return [written.weight, ...others].map((weight) => `${written.font} ${weight}`)
}

const loading = new Map<string, Promise<void>>()

/** One that was uploaded lies among the media, and is named by its SHA-256. */
export const isUploaded = (file: string): boolean => /^[0-9a-f]{64}$/.test(file)

/** Loads a whole face; resolves when text can be drawn with it. */
export function loadFace(
  face: { family: string; weight: number; file: string },
  mediaUrl: (sha256: string) => string = (sha256) => `/media/${sha256}/original`,
): Promise<void> {
  const known = loading.get(face.file)
  if (known) return known
  const font = new FontFace(
    faceName(face.family),
    `url(${isUploaded(face.file) ? mediaUrl(face.file) : `/fonts/${face.file}`})`,
    {
      weight: String(face.weight),
      display: 'block',
    },
  )
  const loaded = font.load().then((ready) => {
    document.fonts.add(ready)
  })
  loading.set(face.file, loaded)
  loaded.catch(() => loading.delete(face.file))
  return loaded
}
