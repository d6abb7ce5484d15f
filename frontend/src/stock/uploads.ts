import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { call } from '../api/client'
import { sendInParts } from '../api/parts'
import type { MediaLine, MediaNotes } from '../api/types'
import { useSession } from '../session/session'

const AWAY_MS = 3000

interface Upload {
  key: number
  name: string
  total: number
  sent: number
  /** When it began, in ms of the page; null while it waits. */
  since: number | null
  /** What was refused; null while nothing was. */
  fault: unknown
  done: boolean
  /** Goes on where it ended. */
  again: () => void
}

/** The Stock and what is on its way there. Uploads go on while people work elsewhere. */
export const useUploads = defineStore('uploads', () => {
  const session = useSession()
  const uploads = ref<Upload[]>([])
  const media = ref<MediaLine[]>([])
  const loaded = ref(false)
  const error = ref<unknown>(null)
  /** Room that is left for the Stock: told to who looks after the machine. */
  const freeBytes = ref<number | null>(null)
  /** What is looked for, in the Stock and on the bench alike. */
  const shelf = ref({ search: '', folder: '', tag: '', ratio: '' })
  let number = 0
  let timer: ReturnType<typeof setTimeout> | undefined

  const active = computed(() => uploads.value.filter((one) => !one.done && one.fault === null))
  const percent = computed(() => {
    const total = active.value.reduce((sum, one) => sum + one.total, 0)
    return total === 0 ? 100 : Math.floor((100 * active.value.reduce((sum, one) => sum + one.sent, 0)) / total)
  })

  async function load(): Promise<void> {
    try {
      const answer = await call<{ media: MediaLine[]; free_bytes: number | null }>(
        'GET',
        `/api/sites/${session.slug}/stock`,
      )
      media.value = answer.media
      freeBytes.value = answer.free_bytes
      loaded.value = true
      error.value = null
      clearTimeout(timer)
      if (media.value.some((one) => one.state === 'waiting')) timer = setTimeout(() => void load(), 700)
    } catch (refused) {
      error.value = refused
      clearTimeout(timer)
      if (loaded.value) timer = setTimeout(() => void load(), AWAY_MS)
    }
  }

  /** On what was seen of them; 409 when somebody noted something else meanwhile. */
  async function note(medium: MediaLine, notes: MediaNotes): Promise<void> {
    await call('POST', `/api/stock/${medium.id}/notes`, { seen: medium.notes, notes })
    await load()
  }
  async function replace(medium: MediaLine, by: string): Promise<void> {
    await call('POST', `/api/stock/${medium.id}/replace`, { seen: medium.sha256, with: by })
    await load()
  }
  /** Sends a file and puts it in a medium's place. */
  async function replaceByFile(medium: MediaLine, file: File): Promise<void> {
    const sent = await sendForUse(file)
    if (sent) await replace(medium, sent.id)
  }
  /** Sends a file and waits until it has been looked at. */
  async function sendForUse(file: File): Promise<MediaLine | undefined> {
    const sent = await send(file)
    if (sent) await until(() => find(sent.id)?.state !== 'waiting')
    return sent && find(sent.id)
  }
  const until = (reached: () => boolean): Promise<void> =>
    new Promise((resolve) => {
      const stop = watch(
        media,
        () => {
          if (!reached()) return
          queueMicrotask(() => stop())
          resolve()
        },
        { immediate: true },
      )
    })

  function wait(file: File): Upload {
    const line = { name: file.name, total: file.size, sent: 0, since: null, fault: null, done: false }
    uploads.value.push({ key: ++number, ...line, again: () => void send(file, begun) })
    const begun = uploads.value[uploads.value.length - 1] as Upload
    return begun
  }
  async function send(file: File, line: Upload = wait(file)): Promise<MediaLine | undefined> {
    line.since = performance.now()
    line.fault = null
    try {
      const made = await sendInParts<MediaLine>(session.slug, file, (sent) => (line.sent = sent))
      line.done = true
      await load()
      return made
    } catch (refused) {
      line.fault = refused
      return undefined
    }
  }

  /** One after another; all of them are seen to wait. */
  async function sendAll(files: Iterable<File>): Promise<void> {
    // Into the folder that is looked at.
    const folder = shelf.value.folder === '/' ? '' : shelf.value.folder
    for (const [file, line] of [...files].map((one) => [one, wait(one)] as const)) {
      const sent = await send(file, line)
      const known = sent && find(sent.id)
      if (known && folder !== '' && known.notes.folder === '') await note(known, { ...known.notes, folder })
    }
  }
  /** Several at once, and all of them back: what each was before. */
  async function noteAll(some: MediaLine[], change: (notes: MediaNotes) => MediaNotes): Promise<MediaLine[]> {
    const before: MediaLine[] = []
    try {
      for (const one of some) {
        await call('POST', `/api/stock/${one.id}/notes`, { seen: one.notes, notes: change(one.notes) })
        before.push(one)
      }
    } finally {
      await load()
    }
    return before
  }

  /** Also those that only hold others. */
  const folders = computed(() =>
    [
      ...new Set(
        media.value.flatMap((one) => {
          const names = one.notes.folder === '' ? [] : one.notes.folder.split('/')
          return names.map((_, index) => names.slice(0, index + 1).join('/'))
        }),
      ),
    ].sort(),
  )
  const isIn = (one: MediaLine, folder: string): boolean =>
    folder === '' || `${one.notes.folder}/`.startsWith(folder === '/' ? '/' : `${folder}/`)
  const dismiss = (key: number): void => {
    uploads.value = uploads.value.filter((one) => one.key !== key)
  }
  const find = (id: string): MediaLine | undefined => media.value.find((one) => one.id === id)

  return {
    freeBytes,
    shelf,
    noteAll,
    uploads,
    media,
    loaded,
    error,
    active,
    percent,
    load,
    sendAll,
    replace,
    note,
    replaceByFile,
    sendForUse,
    folders,
    isIn,
    dismiss,
    find,
  }
})
