<script setup lang="ts">
import { BFormInput, BFormSelect, BProgress } from 'bootstrap-vue-next'
import { computed, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { call } from '../api/client'
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
      (tag.value === '' || one.notes.tags.includes(tag.value)) &&
      (ratio.value === '' || (one.ratio && ratioText(one.ratio) === ratio.value)),
  ),
)

function noted(before: MediaLine | null): void {
  noting.value = null
  if (before) undone.value = before
}
async function unnote(): Promise<void> {
  const before = undone.value
  const now = stock.media.find((one) => one.id === before?.id)
  undone.value = null
  error.value = null
  if (before && now) await stock.note(now, before.notes).catch((refused: unknown) => (error.value = refused))
}
function drop(event: DragEvent): void {
  over.value = false
  void stock.sendAll(event.dataTransfer?.files ?? [])
}
async function remove(id: string): Promise<void> {
  error.value = null
  try {
    await call('DELETE', `/api/stock/${id}`)
    await stock.load()
  } catch (refused) {
    error.value = refused
  }
}
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
      <label class="visually-hidden" for="stock-tag">{{ t('stock.tag') }}</label>
      <BFormSelect v-if="tags.length" id="stock-tag" v-model="tag" size="sm">
        <option value="">{{ t('stock.any-tag') }}</option>
        <option v-for="one in tags" :key="one">{{ one }}</option>
      </BFormSelect>
      <ChooseFiles v-if="session.may('fill')" />
    </div>
    <RefusalNote :error="error ?? stock.error" />
    <ul v-if="stock.uploads.some((one) => !one.done)" class="uploads" aria-live="polite">
      <li v-for="one in stock.uploads.filter((each) => !each.done)" :key="one.key">
        <strong>{{ one.name }}</strong>
        <template v-if="one.fault">
          <RefusalNote :error="one.fault" />
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
          @click="remove(one.id)">
          ×
        </button>
      </MediaCard>
    </div>
  </section>
</template>
