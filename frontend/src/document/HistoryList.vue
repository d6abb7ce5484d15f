<script setup lang="ts">
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { call } from '../api/client'
import type { RevisionLine } from '../api/types'
import { timeOfDay } from '../ui/format'
import { useLabels } from './labels'

/** What was done to a document, by whom and when; steps that were taken back are struck through. */
const props = defineProps<{ document: string; revision: number; zone: string; lookable?: boolean }>()
const emit = defineEmits<{ look: [revision: number] }>()
const { t } = useI18n()
const labels = useLabels()
const revisions = ref<RevisionLine[]>([])
const cancelled = ref(new Set<number>())

const PAGE = 100
const more = ref(false)

/** The latest of them, or a page further back. */
async function load(before: number | null): Promise<void> {
  const asked = `/api/documents/${props.document}/revisions${before === null ? '' : `?before=${before}`}`
  const page = (await call<{ revisions: RevisionLine[] }>('GET', asked).catch(() => ({ revisions: [] }))).revisions
  revisions.value = before === null ? page : [...revisions.value, ...page]
  more.value = page.length === PAGE
  const gone = new Set<number>()
  for (const one of revisions.value) if (one.cancels !== null && !gone.has(one.number)) gone.add(one.cancels)
  cancelled.value = gone
}
watch(
  () => [props.document, props.revision],
  () => load(null),
  { immediate: true },
)
</script>

<template>
  <p v-if="!revisions.length" class="empty-state">{{ t('history.empty') }}</p>
  <ol v-else class="lines history">
    <li v-for="one in revisions" :key="one.number" class="line" :class="{ undone: cancelled.has(one.number) }">
      <span class="measure">{{ one.number }}</span>
      <span>{{ one.cancels === null ? '' : `${t(`history.${one.nature}`)}: ` }}{{ labels.all(one.labels) }}</span>
      <span class="hint">{{ one.author }}, {{ timeOfDay(one.at, zone) }}</span>
      <button
        v-if="lookable && one.number < revision"
        type="button"
        class="plain"
        :aria-label="t('past.look', { revision: String(one.number) })"
        @click="emit('look', one.number)">
        {{ t('past.look-short') }}
      </button>
    </li>
  </ol>
  <button v-if="more" type="button" class="btn btn-sm btn-outline-dark" @click="load(revisions.at(-1)?.number ?? null)">
    {{ t('history.earlier') }}
  </button>
</template>
