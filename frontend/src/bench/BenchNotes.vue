<script setup lang="ts">
import { BToast } from 'bootstrap-vue-next'
import { computed, shallowRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { ProblemError } from '../api/client'
import { useLabels } from '../document/labels'
import RefusalNote from '../ui/RefusalNote.vue'
import { besideFields } from './fills/besideFields'
import { useDesign } from './store/design'
import { useGone } from './canvas/useMerge'

/** What is said over the drawing, without moving it: a refusal, what others did, and content that went. */
const { t } = useI18n()
const design = useDesign()
const labels = useLabels()
const { gone, dismiss, bringBack } = useGone()
const news = computed(() => design.news.map((one) => t('bench.news', { who: one.author, what: labels.all(one.labels) })))

const read = shallowRef<unknown>(null)
watch(
  () => design.refusal,
  () => (read.value = null),
)
/** What stands beside its field is not said twice. */
const refusal = computed(() =>
  design.refusal === read.value ||
  design.refusedHere ||
  (design.refusal instanceof ProblemError && besideField(design.refusal.problem.path))
    ? null
    : design.refusal,
)
const besideField = (path: string): boolean =>
  [...besideFields].some((isThere) => isThere(path)) ||
  /\/(size|gutter|min_size|padding|duration_ms|turn|spacing|px|x|y|blur|radius|angle|speed|(size|offset|trim)\/[01])$/.test(path)
</script>

<template>
  <div class="bench-notes">
    <BToast :model-value="!!refusal" no-progress no-close-button body-class="note-body">
      <RefusalNote :error="refusal" />
      <button type="button" class="plain" @click="read = design.refusal">{{ t('close') }}</button>
    </BToast>
    <BToast :model-value="news.length > 0" is-status no-progress no-close-button body-class="note-body news-note">
      <p>
        {{ news.at(-1) }}
        <template v-if="news.length > 1">{{ t('bench.news-more', { count: news.length - 1 }) }}</template>
      </p>
      <button type="button" class="plain" @click="design.news = []">{{ t('close') }}</button>
    </BToast>
    <BToast :model-value="design.redrawn" is-status no-progress no-close-button body-class="note-body news-note">
      <p>{{ t('bench.redrawn') }}</p>
      <button type="button" class="plain" @click="design.redrawn = false">{{ t('close') }}</button>
    </BToast>
    <BToast :model-value="gone.length > 0" is-status no-progress no-close-button body-class="note-body gone-note">
      <p v-for="one in gone" :key="one.letter">{{ t('bench.gone', { letter: one.letter, fill: t(`fill.${one.kind}`) }) }}</p>
      <button type="button" class="btn btn-sm btn-outline-dark" @click="bringBack">{{ t('bench.bring-back') }}</button>
      <button type="button" class="plain" @click="dismiss">{{ t('close') }}</button>
    </BToast>
  </div>
</template>
