<script setup lang="ts">
import { BFormCheckbox, BFormInput, BFormSelect } from 'bootstrap-vue-next'
import { useI18n } from 'vue-i18n'
import type { FitMode, LiveFill, LiveSource } from '../../api/types'
import ColourField from './ColourField.vue'
import StillField from './StillField.vue'

defineProps<{ fill: LiveFill }>()
const emit = defineEmits<{ set: [part: Partial<LiveFill>, target: string] }>()
const { t } = useI18n()
const BEGUN: { [As in LiveSource['as']]: LiveSource } = {
  'stand-in': { as: 'stand-in', name: 'pattern' },
  stream: { as: 'stream', address: '' },
  device: { as: 'device', name: '' },
}
const kinds = Object.keys(BEGUN) as LiveSource['as'][]
const standIns = ['pattern', 'camera', 'television'] as const
const fits: FitMode[] = ['contain', 'cover', 'stretch', 'none']
const value = (event: Event): string => (event.target as HTMLInputElement).value
const where = (source: LiveSource): string => ('address' in source ? source.address : source.name)
const setSource = (source: LiveSource): void => emit('set', { source }, 'source')
</script>

<template>
  <div class="field-row">
    <label>
      {{ t('live.as') }}
      <BFormSelect size="sm" :model-value="fill.source.as" @change="setSource(BEGUN[value($event) as LiveSource['as']])">
        <option v-for="one in kinds" :key="one" :value="one">{{ t(`live.as-${one}`) }}</option>
      </BFormSelect>
    </label>
    <label v-if="fill.source.as === 'stand-in'">
      {{ t('live.which') }}
      <BFormSelect size="sm" :model-value="fill.source.name" @change="setSource({ as: 'stand-in', name: value($event) as 'pattern' })">
        <option v-for="one in standIns" :key="one" :value="one">{{ t(`live.${one}`) }}</option>
      </BFormSelect>
    </label>
  </div>
  <label v-if="fill.source.as === 'stream'">
    {{ t('live.address') }}
    <BFormInput
      size="sm"
      maxlength="2000"
      placeholder="https://"
      spellcheck="false"
      :model-value="where(fill.source)"
      @change="setSource({ as: 'stream', address: value($event).trim() })" />
  </label>
  <label v-if="fill.source.as === 'device'">
    {{ t('live.device') }}
    <BFormInput
      size="sm"
      maxlength="2000"
      :model-value="where(fill.source)"
      @change="setSource({ as: 'device', name: value($event).trim() })" />
  </label>
  <p v-if="fill.source.as !== 'stand-in'" class="hint">{{ t(`live.hint-${fill.source.as}`) }}</p>
  <label>
    {{ t('fill.fit') }}
    <BFormSelect size="sm" :model-value="fill.fit" @change="emit('set', { fit: value($event) as FitMode }, 'fit')">
      <option v-for="one in fits" :key="one" :value="one">{{ t(`fill.${one}`) }}</option>
    </BFormSelect>
  </label>
  <BFormCheckbox :model-value="fill.sound" @update:model-value="emit('set', { sound: $event === true }, 'sound')">
    {{ t('live.sound') }}
  </BFormCheckbox>
  <StillField :value="fill.still" @set="emit('set', { still: $event }, 'still')" />
  <ColourField :label="t('fill.ground')" :value="fill.ground" @set="emit('set', { ground: $event }, 'ground')" />
</template>
