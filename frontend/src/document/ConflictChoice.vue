<script setup lang="ts">
import { BModal, BTable } from 'bootstrap-vue-next'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Problem, Versions, ZoneVersion } from '../api/types'
import { useUploads } from '../stock/uploads'
import { fillWords } from '../ui/fillWords'
import { pixels } from '../ui/format'

/** Others changed the same things meanwhile: each in both versions, and a choice for all. */
const props = defineProps<{ problem: Problem }>()
const emit = defineEmits<{ choose: [mine: boolean] }>()
const { t } = useI18n()
const stock = useUploads()
const shown = ref(true)

const zone = (side: ZoneVersion | null): string => {
  if (!side) return t('conflict.gone')
  const size = side.rect ? `${pixels(side.rect[2], side.rect[3])} · ` : ''
  return `${size}${t(`fill.${side.fill.kind}`)} ${fillWords(side.fill, (id) => stock.find(id)?.name)}`
}
const plain = (value: unknown): string => {
  if (value === null) return t('conflict.gone')
  return typeof value === 'string' ? value : JSON.stringify(value)
}
const name = (thing: Versions): string => {
  if (thing.what === 'zone') return thing.letter
  return thing.what === 'field' ? t(`field.${thing.field}`) : t(`thing.${thing.what}`)
}
const rows = computed(() =>
  (props.problem.things ?? []).map((thing) => ({
    thing: name(thing),
    theirs: thing.what === 'zone' ? zone(thing.theirs) : plain(thing.theirs),
    yours: thing.what === 'zone' ? zone(thing.yours) : plain(thing.yours),
  })),
)
const fields = computed(() => [
  { key: 'thing', label: t('conflict.thing'), isRowHeader: true },
  { key: 'theirs', label: t('conflict.theirs') },
  { key: 'yours', label: t('conflict.yours') },
])
</script>

<template>
  <BModal v-model="shown" :title="t('conflict.title')" no-close-on-backdrop no-close-on-esc no-header-close>
    <p>{{ t('conflict.words', { who: String(problem.params['who']) }) }}</p>
    <BTable :items="rows" :fields="fields" small />
    <template #footer>
      <button type="button" class="btn btn-outline-dark" @click="emit('choose', false)">{{ t('conflict.keep-theirs') }}</button>
      <button type="button" class="btn btn-primary" @click="emit('choose', true)">{{ t('conflict.use-mine') }}</button>
    </template>
  </BModal>
</template>
