<script setup lang="ts">
import { BFormCheckbox } from 'bootstrap-vue-next'
import { useI18n } from 'vue-i18n'
import ColourField from './ColourField.vue'

/** A ground's colour, or none: then what lies under it is seen. */
defineProps<{ value: string | null }>()
const emit = defineEmits<{ set: [ground: string | null] }>()
const { t } = useI18n()
const OPAQUE = '#1D2A33'
</script>

<template>
  <div>
    <ColourField v-if="value !== null" :label="t('fill.ground')" :value="value" @set="emit('set', $event)" />
    <BFormCheckbox :model-value="value === null" @update:model-value="emit('set', $event ? null : OPAQUE)">
      {{ t('fill.no-ground') }}
    </BFormCheckbox>
  </div>
</template>
