<script setup lang="ts">
import { BFormCheckbox } from 'bootstrap-vue-next'
import { useI18n } from 'vue-i18n'
import type { DialFill } from '../../api/types'
import ColourField from './ColourField.vue'
import GroundField from './GroundField.vue'

defineProps<{ fill: DialFill }>()
const emit = defineEmits<{ set: [part: Partial<DialFill>, target: string] }>()
const { t } = useI18n()
const colours = ['hands', 'face', 'accent'] as const
</script>

<template>
  <ColourField v-for="key in colours" :key="key" :label="t(`dial.${key}`)" :value="fill[key]" @set="emit('set', { [key]: $event }, key)" />
  <GroundField :value="fill.ground" @set="emit('set', { ground: $event }, 'ground')" />
  <BFormCheckbox :model-value="fill.seconds" @update:model-value="emit('set', { seconds: $event === true }, 'seconds')">
    {{ t('dial.seconds') }}
  </BFormCheckbox>
</template>
