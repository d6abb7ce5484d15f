<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next'
import { useI18n } from 'vue-i18n'
import type { TextFill } from '../../api/types'
import MeasureField from '../../ui/MeasureField.vue'
import { useDesign } from '../store/design'

const props = defineProps<{ fill: TextFill }>()
const emit = defineEmits<{ set: [part: Partial<TextFill>, target: string] }>()
const { t } = useI18n()
const design = useDesign()
const ways = ['fade', 'lines', 'typed'] as const
const FRESH_MS = 1500
function choose(event: Event): void {
  const way = (event.target as HTMLSelectElement).value
  emit('set', { entrance: way ? { way: way as 'fade', ms: props.fill.entrance?.ms ?? FRESH_MS } : null }, 'entrance')
}
</script>

<template>
  <div class="field-row">
    <label>
      {{ t('entrance.way') }}
      <BFormSelect size="sm" :model-value="fill.entrance?.way ?? ''" @change="choose">
        <option value="">{{ t('entrance.none') }}</option>
        <option v-for="one in ways" :key="one" :value="one">{{ t(`entrance.${one}`) }}</option>
      </BFormSelect>
    </label>
    <MeasureField
      v-if="fill.entrance"
      :label="t('entrance.ms')"
      unit="ms"
      path="/entrance/ms"
      :value="fill.entrance.ms"
      :refusal="design.refusal"
      @set="(ms) => fill.entrance && emit('set', { entrance: { way: fill.entrance.way, ms } }, 'entrance.ms')" />
  </div>
</template>
