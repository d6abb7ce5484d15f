<script setup lang="ts">
import { BFormCheckbox, BFormSelect } from 'bootstrap-vue-next'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { ProgressFill } from '../../api/types'
import ColourField from './ColourField.vue'
import { useDesign } from '../store/design'
import GroundField from './GroundField.vue'

defineProps<{ fill: ProgressFill }>()
const emit = defineEmits<{ set: [part: Partial<ProgressFill>, target: string] }>()
const { t } = useI18n()
const design = useDesign()
const playlists = computed(() => design.plans.filter((plan) => design.documents[plan.id]?.fill.kind === 'playlist'))
const chosen = (event: Event): string => (event.target as HTMLSelectElement).value
</script>

<template>
  <label>
    {{ t('progress.of') }}
    <BFormSelect size="sm" :model-value="fill.of" @change="emit('set', { of: chosen($event) }, 'of')">
      <option value="scene">{{ t('progress.scene') }}</option>
      <option v-for="one in playlists" :key="one.id" :value="one.id">{{ t('progress.playlist', { letter: one.letter }) }}</option>
    </BFormSelect>
  </label>
  <BFormCheckbox
    v-if="fill.of !== 'scene'"
    :model-value="fill.whole"
    @update:model-value="emit('set', { whole: $event === true }, 'whole')">
    {{ t('progress.whole') }}
  </BFormCheckbox>
  <label>
    {{ t('chart.form') }}
    <BFormSelect size="sm" :model-value="fill.form" @change="emit('set', { form: chosen($event) as 'bar' | 'ring' }, 'form')">
      <option v-for="one in ['bar', 'ring']" :key="one" :value="one">{{ t(`progress.${one}`) }}</option>
    </BFormSelect>
  </label>
  <ColourField :label="t('fill.colour-label')" :value="fill.colour" @set="emit('set', { colour: $event }, 'colour')" />
  <ColourField :label="t('progress.track')" :value="fill.track" @set="emit('set', { track: $event }, 'track')" />
  <GroundField :value="fill.ground" @set="emit('set', { ground: $event }, 'ground')" />
</template>
