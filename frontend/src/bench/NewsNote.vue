<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useLabels } from '../document/labels'
import { useDesign } from './design'

/** What others did meanwhile, until it was read. */
const { t } = useI18n()
const design = useDesign()
const labels = useLabels()
const words = computed(() => design.news.map((one) => t('bench.news', { who: one.author, what: labels.all(one.labels) })))
</script>

<template>
  <p v-if="words.length" class="news-note" role="status">
    {{ words.at(-1) }}
    <template v-if="words.length > 1">{{ t('bench.news-more', { count: words.length - 1 }) }}</template>
    <button type="button" class="plain" @click="design.news = []">{{ t('close') }}</button>
  </p>
</template>
