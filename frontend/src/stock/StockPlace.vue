<script setup lang="ts">
import { BFormInput, BFormSelect, BModal, BProgress } from 'bootstrap-vue-next'
import { computed, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { call, NoAnswer } from '../api/client'
import type { MediaLine } from '../api/types'
import { useSession } from '../session/session'
import { fileSize, ratioText } from '../ui/format'
import RefusalNote from '../ui/RefusalNote.vue'
import ChooseFiles from './ChooseFiles.vue'
import MediaCard from './MediaCard.vue'
import NoteSheet from './NoteSheet.vue'
import ReplaceFile from './ReplaceFile.vue'
import { useUploads } from './uploads'

const { t } = useI18n()
const stock = useUploads()
const session = useSession()
const over = ref(false)
const search = ref('')
const ratio = ref('')
const tag = ref('')
/** A path; `/`: what lies in none. */
const folder = ref('')
const noting = ref<MediaLine | null>(null)
/** The medium as it was before it was noted last. */
const undone = ref<MediaLine | null>(null)
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
  if (!before) return
  undone.value = before
  taken.value = null
}
function drop(event: DragEvent): void {
  over.value = false
  void stock.sendAll(event.dataTransfer?.files ?? [])
}
const taken = ref<MediaLine | null>(null)
/** One that is used is taken out only by who has seen where. */
const asked = ref<MediaLine | null>(null)
const tried = async (work: () => Promise<unknown>): Promise<void> => {
  error.value = null
  await work().catch((refused: unknown) => (error.value = refused))
}
const unnote = (): Promise<void> =>
  tried(async () => {
    const before = undone.value
    const now = stock.media.find((one) => one.id === before?.id)
    undone.value = null
    if (before && now) await stock.note(now, before.notes)
  })
const remove = (media: MediaLine): Promise<void> =>
  tried(async () => {
    asked.value = null
    await call('DELETE', `/api/stock/${media.id}?despite=${media.used_in?.length ?? 0}`)
    taken.value = media
    undone.value = null
    await stock.load()
  })
const bringBack = (media: MediaLine): Promise<void> =>
  tried(async () => {
    taken.value = null
    await call('POST', `/api/stock/${media.id}/back`)
    await stock.load()
  })
onMounted(() => void stock.load())
</script>

<template>
  <section class="stock" :class="{ over }" @dragover.prevent="over = true" @dragleave.self="over = false" @drop.prevent="drop">
    <div class="place-head">
      <h1>{{ t('stock.title') }}</h1>
      <p class="hint">
        {{ t('stock.drop') }} {{ t('stock.kinds') }}
        <br v-if="stock.freeBytes !== null" />
        <span v-if="stock.freeBytes !== null" class="measure">{{ t('stock.free', { size: fileSize(stock.freeBytes) }) }}</span>
      </p>
      <span class="spring" />
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
    <p v-if="undone" class="hint place-note" role="status">
      {{ t('stock.noted', { name: undone.name }) }}
      <button type="button" class="plain" @click="unnote">{{ t('stock.note-undo') }}</button>
    </p>
    <p v-if="taken" class="hint place-note" role="status">
      {{ t('stock.taken', { name: taken.name }) }}
      <button type="button" class="plain" @click="bringBack(taken)">{{ t('stock.note-undo') }}</button>
    </p>
    <BModal
      :model-value="asked !== null"
      :title="t('stock.take-title', { name: asked?.name ?? '' })"
      :header-close-label="t('close')"
      @hidden="asked = null">
      <p>{{ t('stock.take-where') }}</p>
      <ul>
        <li v-for="one in asked?.used_in ?? []" :key="one">{{ one }}</li>
      </ul>
      <template #footer>
        <button type="button" class="btn btn-primary" @click="asked = null">{{ t('stock.keep') }}</button>
        <button type="button" class="btn btn-outline-dark" @click="asked && remove(asked)">{{ t('stock.take-all') }}</button>
      </template>
    </BModal>
    <NoteSheet v-if="noting" :key="noting.id" :media="noting" @close="noted" />
    <div class="media-grid">
      <MediaCard v-for="one in listed" :key="one.id" :media="one">
        <button v-if="session.may('fill')" type="button" class="btn btn-sm btn-outline-dark" @click="noting = one">
          {{ t('stock.notes') }}
        </button>
        <ReplaceFile v-if="session.may('clear') && one.state === 'ready' && one.kind !== 'font'" :media="one" @refused="error = $event" />
        <button
          v-if="session.may('clear')"
          type="button"
          class="plain remove"
          :aria-label="t('stock.remove', { name: one.name })"
          @click="one.uses && one.kind !== 'font' ? (asked = one) : remove(one)">
          ×
        </button>
      </MediaCard>
    </div>
  </section>
</template>
