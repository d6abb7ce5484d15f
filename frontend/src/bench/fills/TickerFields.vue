<script setup lang="ts">
import { BFormCheckbox, BFormSelect } from 'bootstrap-vue-next'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { TextFill } from '../../api/types'
import type { Item } from '../../plan/types'
import { seconds } from '../../ui/format'
import MeasureField from '../../ui/MeasureField.vue'
import { useDesign } from '../store/design'

const props = defineProps<{ fill: TextFill; item: Item | undefined }>()
const emit = defineEmits<{ set: [part: Partial<TextFill>, target: string] }>()
const { t } = useI18n()
const design = useDesign()
const directions = ['left', 'right', 'up', 'down'] as const
const FRESH = { direction: 'left', speed: 150 } as const
const cycle = computed(() => (props.item?.kind === 'text' ? props.item.ticker?.ms : undefined))
const change = (part: Partial<NonNullable<TextFill['ticker']>>, target: string): void =>
  emit('set', { ticker: { ...FRESH, ...props.fill.ticker, ...part } }, target)
</script>

<template>
  <BFormCheckbox :model-value="!!fill.ticker" @update:model-value="emit('set', { ticker: $event ? FRESH : null }, 'ticker')">
    {{ t('ticker.runs') }}
  </BFormCheckbox>
  <div v-if="fill.ticker" class="field-row">
    <label>
      {{ t('ticker.direction') }}
      <BFormSelect
        size="sm"
        :model-value="fill.ticker.direction"
        @change="change({ direction: ($event.target as HTMLSelectElement).value as 'left' }, 'ticker.direction')">
        <option v-for="one in directions" :key="one" :value="one">{{ t(`ticker.${one}`) }}</option>
      </BFormSelect>
    </label>
    <MeasureField
      :label="t('ticker.speed')"
      unit="px/s"
      path="/ticker/speed"
      :value="fill.ticker.speed"
      :refusal="design.refusal"
      @set="change({ speed: $event }, 'ticker.speed')" />
  </div>
  <p v-if="cycle" class="measure" role="status">{{ t('ticker.cycle', { time: seconds(cycle) }) }}</p>
</template>
