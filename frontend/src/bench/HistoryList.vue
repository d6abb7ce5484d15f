<script setup lang="ts">
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { call } from '../api/client'
import type { RevisionLine } from '../api/types'
import { timeOfDay } from '../ui/format'
import { useDesign } from './design'

const { t } = useI18n()
const design = useDesign()
const revisions = ref<RevisionLine[]>([])
watch(() => design.answer?.revision, async () => {
  revisions.value = (await call<{ revisions: RevisionLine[] }>('GET', `/api/designs/${design.id}/revisions`).catch(() => ({ revisions: [] }))).revisions
}, { immediate: true })
const label = (names: string): string => names.split(', ').map((name) => t(`command.${name}`)).join(', ')
</script>

<template>
  <ol class="lines history"><li v-for="one in revisions" :key="one.number" class="line" :class="{ undone: one.undone }"><span class="measure">{{ one.number }}</span><span>{{ one.kind === 'edit' ? '' : `${t(`bench.${one.kind}`)}: ` }}{{ label(one.label) }}</span><span class="hint">{{ one.author }}, {{ timeOfDay(one.at, design.answer?.surface?.zone ?? 'UTC') }}</span></li></ol>
</template>
