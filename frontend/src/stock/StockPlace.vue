<script setup lang="ts">
import { BFormInput, BFormSelect, BModal, BProgress } from 'bootstrap-vue-next'
import { computed, onMounted, ref, toRefs, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { call, NoAnswer } from '../api/client'
import type { MediaLine, MediaNotes } from '../api/types'
import { useSession } from '../session/session'
import { goOn, goOnAt } from '../ui/focus'
import { fileSize, ratioText } from '../ui/format'
import RefusalNote from '../ui/RefusalNote.vue'
import { useUndoKeys } from '../ui/useUndoKeys'
import ChooseFiles from './ChooseFiles.vue'
import MediaCard from './MediaCard.vue'
import NoteSheet from './NoteSheet.vue'
import ReplaceFile from './ReplaceFile.vue'
import SeveralBar from './SeveralBar.vue'
import { useUploads } from './uploads'
import { useSeveral } from './useSeveral'

const { t } = useI18n()
const stock = useUploads()
const session = useSession()
const over = ref(false)
/** Kept while one works elsewhere; the folder is a path, `/`: what lies in none. */
const { search, ratio, tag, folder } = toRefs(stock.shelf)
const noting = ref<MediaLine | null>(null)
/** What was done last, in words, and how it is undone. */
const done = ref<{ words: string; undo: () => Promise<unknown> } | null>(null)
const error = ref<unknown>(null)

const ratios = computed(() => [...new Set(stock.media.flatMap((one) => (one.ratio ? [ratioText(one.ratio)] : [])))].sort())
const tags = computed(() => [...new Set(stock.media.flatMap((one) => one.notes.tags))].sort())
const listed = computed(() =>
  stock.media.filter(
    (one) =>
      [one.name, one.notes.licence, ...one.notes.tags].join(' ').toLowerCase().includes(search.value.toLowerCase()) &&
      stock.isIn(one, folder.value) &&
      (tag.value === '' || one.notes.tags.includes(tag.value)) &&
      (ratio.value === '' || (one.ratio && ratioText(one.ratio) === ratio.value)),
  ),
)

/** All that is on its way; as fast as it went so far. Nothing is said of what has hardly begun, or is nearly there. */
const onTheWay = computed(() => {
  const sent = stock.active.reduce((sum, one) => sum + one.sent, 0)
  const total = stock.active.reduce((sum, one) => sum + one.total, 0)
  const words = t('stock.on-the-way', { count: stock.active.length, sent: fileSize(sent), total: fileSize(total) })
  const passed = (performance.now() - Math.min(...stock.active.flatMap((one) => one.since ?? []))) / 1000
  const left = sent === 0 ? 0 : (passed * (total - sent)) / sent
  if (!(passed > 2) || left < 3) return words
  return `${words}, ${left < 90 ? t('stock.left-s', { count: Math.ceil(left) }) : t('stock.left-min', { count: Math.ceil(left / 60) })}`
})
function noted(before: MediaLine | null): void {
  noting.value = null
  if (before) done.value = { words: t('stock.noted', { name: before.name }), undo: () => renote([before]) }
}
function drop(event: DragEvent): void {
  over.value = false
  void stock.sendAll(event.dataTransfer?.files ?? [])
}
/** Those that are used are taken out only by who has seen where. */
const asked = ref<MediaLine[]>([])
const tried = async (work: () => Promise<unknown>): Promise<void> => {
  error.value = null
  await work().catch((refused: unknown) => (error.value = refused))
}
async function renote(before: MediaLine[]): Promise<void> {
  for (const one of before) {
    const now = stock.media.find((each) => each.id === one.id)
    if (now) await stock.noteAll([now], () => one.notes)
  }
}
const undo = (): Promise<void> =>
  tried(async () => {
    const last = done.value
    done.value = null
    await last?.undo()
  })
const noteSeveral = (words: string, change: (notes: MediaNotes) => MediaNotes): Promise<void> =>
  tried(async () => {
    const before = await stock.noteAll(several.chosen.value, change)
    done.value = { words, undo: () => renote(before) }
  })
const file = (into: string): Promise<void> =>
  noteSeveral(t('stock.filed', { count: several.chosen.value.length, folder: into || t('stock.no-folder') }), (notes) => ({
    ...notes,
    folder: into,
  }))
const mark = (word: string): Promise<void> =>
  noteSeveral(t('stock.tagged', { count: several.chosen.value.length, tag: word }), (notes) => ({
    ...notes,
    tags: [...new Set([...notes.tags, word])],
  }))
const used = (media: MediaLine): boolean => media.uses > 0 && media.kind !== 'font'
const take = (media: MediaLine[]): void => void (media.some(used) ? (asked.value = media) : remove(media))
const removed = (): HTMLElement | null => document.querySelector('.place-note.stays button')
const remove = (media: MediaLine[]): Promise<void> => goOn(() => takeOut(media), removed)
const takeOut = (media: MediaLine[]): Promise<void> =>
  tried(async () => {
    asked.value = []
    const gone: MediaLine[] = []
    try {
      for (const one of media) {
        await call('DELETE', `/api/stock/${one.id}?despite=${one.used_in?.length ?? 0}`)
        gone.push(one)
      }
    } finally {
      if (gone.length)
        done.value = { words: t('stock.taken', { name: gone.map((one) => one.name).join(', ') }), undo: () => bringBack(gone) }
      await stock.load()
    }
  })
async function bringBack(media: MediaLine[]): Promise<void> {
  for (const one of media) await call('POST', `/api/stock/${one.id}/back`)
  await stock.load()
}
const grid = useTemplateRef<HTMLElement>('grid')
const several = useSeveral(
  () => listed.value,
  () => grid.value,
)
function chooseNone(): void {
  const first = several.chosen.value[0]?.id ?? ''
  several.clear()
  goOnAt(() => document.querySelector<HTMLElement>(`[data-media="${first}"] .pick`))
}
function keys(event: KeyboardEvent): void {
  if (event.target instanceof HTMLElement && event.target.matches('input:not([type=checkbox]), textarea, select')) return
  const all = (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'a'
  if (all) several.all()
  else if (event.key === 'Escape' && several.chosen.value.length) chooseNone()
  else if (event.key === 'Delete' && several.chosen.value.length && session.may('clear')) take(several.chosen.value)
  else return
  event.preventDefault()
}
useUndoKeys((kind) => void (kind === 'undo' && done.value && undo()))
onMounted(() => void stock.load())
</script>

<template>
  <section
    class="stock"
    :class="{ over }"
    @dragover.prevent="over = true"
    @dragleave.self="over = false"
    @drop.prevent="drop"
    @keydown="keys">
    <div class="place-head">
      <h1>{{ t('stock.title') }}</h1>
      <p class="hint">
        {{ t('stock.drop') }} {{ t('stock.kinds') }}
        <br v-if="stock.freeBytes !== null" />
        <span v-if="stock.freeBytes !== null" class="measure">{{ t('stock.free', { size: fileSize(stock.freeBytes) }) }}</span>
      </p>
      <span class="spring" />
      <RouterLink class="plain" :to="{ name: 'playlists' }">{{ t('playlists.title') }}</RouterLink>
      <RouterLink class="plain" :to="{ name: 'styles' }">{{ t('style.title') }}</RouterLink>
      <label class="visually-hidden" for="stock-search">{{ t('stock.search') }}</label>
      <BFormInput size="sm" id="stock-search" v-model="search" type="search" :placeholder="t('stock.search')" />
      <label class="visually-hidden" for="stock-ratio">{{ t('stock.ratio') }}</label>
      <BFormSelect size="sm" id="stock-ratio" v-model="ratio">
        <option value="">{{ t('stock.any') }}</option>
        <option v-for="one in ratios" :key="one">{{ one }}</option>
      </BFormSelect>
      <label v-if="stock.folders.length" class="visually-hidden" for="stock-folder">{{ t('stock.folder') }}</label>
      <BFormSelect v-if="stock.folders.length" id="stock-folder" v-model="folder" size="sm">
        <option value="">{{ t('stock.any-folder') }}</option>
        <option v-for="one in stock.folders" :key="one" :value="one">{{ one }}</option>
        <option value="/">{{ t('stock.no-folder') }}</option>
      </BFormSelect>
      <label v-if="tags.length" class="visually-hidden" for="stock-tag">{{ t('stock.tag') }}</label>
      <BFormSelect v-if="tags.length" id="stock-tag" v-model="tag" size="sm">
        <option value="">{{ t('stock.any-tag') }}</option>
        <option v-for="one in tags" :key="one">{{ one }}</option>
      </BFormSelect>
      <ChooseFiles v-if="session.may('fill')" />
    </div>
    <RefusalNote :error="error ?? stock.error" />
    <p v-if="stock.active.length" class="place-note measure" role="status">{{ onTheWay }}</p>
    <ul v-if="stock.uploads.some((one) => !one.done)" class="uploads" aria-live="polite">
      <li v-for="one in stock.uploads.filter((each) => !each.done)" :key="one.key">
        <strong>{{ one.name }}</strong>
        <template v-if="one.fault">
          <RefusalNote :error="one.fault" />
          <button v-if="one.fault instanceof NoAnswer" type="button" class="btn btn-sm btn-outline-dark" @click="one.again">
            {{ t('stock.again') }}
          </button>
          <button type="button" class="plain" @click="stock.dismiss(one.key)">{{ t('close') }}</button>
        </template>
        <template v-else>
          <BProgress :value="one.sent" :max="one.total" :aria-label="one.name" />
          <span class="measure">{{ fileSize(one.sent) }} / {{ fileSize(one.total) }}</span>
        </template>
      </li>
    </ul>
    <p v-if="stock.loaded && !stock.media.length" class="empty-state">{{ t('stock.empty') }}</p>
    <p v-else-if="stock.loaded && !listed.length" class="empty-state">{{ t('stock.nothing') }}</p>
    <p v-if="done" class="hint place-note stays" role="status">
      {{ done.words }}
      <button type="button" class="plain" @click="undo">{{ t('stock.note-undo') }}</button>
      <kbd>{{ t('stock.undo-key') }}</kbd>
    </p>
    <SeveralBar
      v-if="several.chosen.value.length"
      :media="several.chosen.value"
      @file="file"
      @tag="mark"
      @remove="take(several.chosen.value)"
      @clear="chooseNone" />
    <BModal
      :model-value="asked.length > 0"
      :title="t('stock.take-title', { name: asked.map((one) => one.name).join(', ') })"
      :header-close-label="t('close')"
      @hidden="asked = []">
      <p>{{ t('stock.take-where') }}</p>
      <ul>
        <li v-for="one in [...new Set(asked.flatMap((each) => each.used_in ?? []))]" :key="one">{{ one }}</li>
      </ul>
      <template #footer>
        <button type="button" class="btn btn-primary" @click="asked = []">{{ t('stock.keep') }}</button>
        <button type="button" class="btn btn-outline-dark" @click="remove(asked)">{{ t('stock.take-all') }}</button>
      </template>
    </BModal>
    <NoteSheet v-if="noting" :key="noting.id" :media="noting" @close="noted" />
    <div ref="grid" class="media-grid lassoed" @pointerdown="several.gather">
      <span v-if="several.lasso.value" class="lasso" :style="several.lasso.value" aria-hidden="true" />
      <MediaCard v-for="one in listed" :key="one.id" :media="one" :class="{ picked: several.has(one.id) }">
        <input
          v-if="session.may('fill') || session.may('clear')"
          type="checkbox"
          class="form-check-input pick"
          :checked="several.has(one.id)"
          :aria-label="t('stock.choose-one', { name: one.name })"
          @click="several.choose(one.id, ($event.target as HTMLInputElement).checked, $event.shiftKey)" />
        <button v-if="session.may('fill')" type="button" class="btn btn-sm btn-outline-dark" @click="noting = one">
          {{ t('stock.notes') }}
        </button>
        <ReplaceFile v-if="session.may('clear') && one.state === 'ready' && one.kind !== 'font'" :media="one" @refused="error = $event" />
        <button
          v-if="session.may('clear')"
          type="button"
          class="plain remove"
          :aria-label="t('stock.remove', { name: one.name })"
          @click="take([one])">
          ×
        </button>
      </MediaCard>
    </div>
  </section>
</template>
