<script setup lang="ts">
import { BModal } from 'bootstrap-vue-next'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Problem, ZoneVersions } from '../api/types'
import { useUploads } from '../stock/uploads'
import { pixels } from '../ui/format'
import { fillWords } from './fills'

defineProps<{ problem: Problem }>()
const emit = defineEmits<{ choose: [mine: boolean] }>()
const { t } = useI18n()
const stock = useUploads()
const shown = ref(true)
const words = (side: ZoneVersions['theirs']): string =>
  side ? `${pixels(side.rect[2], side.rect[3])} · ${t(`fill.${side.fill.kind}`)} ${fillWords(side.fill, (id) => stock.find(id)?.name)}` : t('conflict.gone')
</script>

<template>
  <BModal v-model="shown" :title="t('conflict.title')" no-close-on-backdrop no-close-on-esc no-header-close>
    <p>{{ t('conflict.words', { who: String(problem.params['who']) }) }}</p>
    <table class="table">
      <thead><tr><th scope="col"></th><th scope="col">{{ t('conflict.theirs') }}</th><th scope="col">{{ t('conflict.yours') }}</th></tr></thead>
      <tbody><tr v-for="zone in problem.zones" :key="zone.zone"><th scope="row">{{ zone.letter }}</th><td>{{ words(zone.theirs) }}</td><td>{{ words(zone.yours) }}</td></tr></tbody>
    </table>
    <template #footer>
      <button type="button" class="btn btn-outline-dark" @click="emit('choose', false)">{{ t('conflict.keep-theirs') }}</button>
      <button type="button" class="btn btn-primary" @click="emit('choose', true)">{{ t('conflict.use-mine') }}</button>
    </template>
  </BModal>
</template>
