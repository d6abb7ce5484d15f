import { computed, ref, type ComputedRef, type Ref } from 'vue'
import type { Command, Fill, MediaLine } from '../../api/types'
import { useUploads } from '../../stock/uploads'
import { useDesign } from '../store/design'

/** What was put over another picture or video, and may be shown in turn with it instead. */
interface Over {
  zone: string
  before: Fill
  media: MediaLine
}

/** Media put into zones: from the Stock, or files dropped straight onto them. */
export function usePut(): {
  put: (zone: string, media: MediaLine) => void
  putAll: (zone: string, media: MediaLine[]) => Promise<void>
  putFiles: (event: DragEvent) => Promise<void>
  over: ComputedRef<Over | null>
  inTurn: () => Promise<void>
  dismiss: () => void
  sending: Ref<string>
} {
  const design = useDesign()
  const stock = useUploads()
  const last = ref<Over | null>(null)
  const sending = ref('')
  /** Offered as long as the zone shows what was put into it. */
  const over = computed(() => {
    const fill = last.value ? design.documents[last.value.zone]?.fill : undefined
    return last.value && fill && 'media' in fill && fill.media === last.value.media.id ? (last.value as Over) : null
  })

  /** In a playlist a medium becomes its last entry; in anything else it becomes the fill. */
  function put(zone: string, media: MediaLine): void {
    const before = design.documents[zone]?.fill
    design.selected = zone
    if (media.kind === 'font') {
      // What is written becomes written in it.
      if (before && media.font && 'font' in before)
        void design.setFill(zone, { ...before, font: media.font.family, weight: media.font.weight }, `${zone}:font`)
      return
    }
    const kind = media.kind === 'page' ? 'web' : media.kind
    if (before?.kind === 'playlist') {
      design.beginEntry(zone, kind, { media: media.id })
      return
    }
    last.value = before && 'media' in before && before.media !== media.id ? { zone, before, media } : null
    void design.beginFill(zone, kind, media.id).then((done) => {
      const fill = design.documents[zone]?.fill
      // A shape holds what is put into it.
      if (done && before?.kind === 'shape' && fill && 'media' in fill)
        void design.setFill(
          zone,
          { ...fill, fit: 'cover', clip: { shape: before.shape, radius: before.radius, line: before.line ?? null } },
          `${zone}:clip`,
        )
    })
  }

  /** Several in turn: behind what the playlist holds, or the only picture that was there. */
  async function putAll(zone: string, media: MediaLine[]): Promise<void> {
    const isPlaylist = design.documents[zone]?.fill.kind === 'playlist'
    last.value = null
    design.selected = zone
    await design.send([
      ...(isPlaylist ? [] : [{ do: 'fill.begin', zone, kind: 'playlist', entry: design.fresh('e') }]),
      ...media.map((one) => ({ do: 'entry.begin', zone, entry: design.fresh('e'), kind: one.kind, media: one.id })),
    ] as Command[])
  }

  /** Back to what was there, as the first entry of a playlist, and then what was put over it: one step. */
  async function inTurn(): Promise<void> {
    const one = over.value
    last.value = null
    if (!one) return
    await design.send([
      { do: 'fill.set', zone: one.zone, fill: one.before },
      { do: 'fill.begin', zone: one.zone, kind: 'playlist', entry: design.fresh('e') },
      { do: 'entry.begin', zone: one.zone, entry: design.fresh('e'), kind: one.media.kind, media: one.media.id },
    ] as Command[])
  }

  /** Files go to the Stock and, the first into the zone under the pointer, the others behind it in turn. */
  async function putFiles(event: DragEvent): Promise<void> {
    const hit = (event.target as HTMLElement).closest<HTMLElement>('[data-pane], [data-float]')
    const zone = hit?.dataset['pane'] ?? hit?.dataset['float']
    const files = [...(event.dataTransfer?.files ?? [])]
    for (const [index, file] of files.entries()) {
      sending.value = file.name
      const media = await stock.sendForUse(file)
      if (!zone || media?.state !== 'ready') continue
      put(zone, media)
      if (index > 0) await inTurn()
    }
    sending.value = ''
  }
  return { put, putAll, putFiles, over, inTurn, dismiss: () => (last.value = null), sending }
}
