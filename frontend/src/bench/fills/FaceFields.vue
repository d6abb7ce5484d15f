<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next'
import { useI18n } from 'vue-i18n'
import { useFaces } from '../../stock/useFaces'

/** A face among those that the app serves: its family, and a weight that the family has. */
const props = defineProps<{ font: string; weight: number }>()
const emit = defineEmits<{ set: [face: { font: string; weight: number }, target: string] }>()
const { t } = useI18n()
const { families, weights, inFamily } = useFaces()
const chosen = (event: Event): string => (event.target as HTMLSelectElement).value
</script>

<template>
  <div class="field-row">
    <label>
      {{ t('fill.font') }}
      <BFormSelect size="sm" :model-value="font" @change="emit('set', inFamily(chosen($event), props.weight), 'font')">
        <option v-for="one in families" :key="one">{{ one }}</option>
      </BFormSelect>
    </label>
    <label>
      {{ t('fill.weight') }}
      <BFormSelect size="sm" :model-value="weight" @change="emit('set', { font, weight: Number(chosen($event)) }, 'weight')">
        <option v-for="one in weights(font)" :key="one">{{ one }}</option>
      </BFormSelect>
    </label>
  </div>
</template>
