<script setup lang="ts">
import { BFormInput, BFormSelect } from 'bootstrap-vue-next'
import { nextTick, ref, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { ChartFill } from '../../api/types'
import MeasureField from '../../ui/MeasureField.vue'
import ColourField from './ColourField.vue'
import { useDesign } from '../store/design'
import FieldRefusal from './FieldRefusal.vue'
import FaceFields from './FaceFields.vue'
import GroundField from './GroundField.vue'

const props = defineProps<{ fill: ChartFill }>()
const emit = defineEmits<{ set: [part: Partial<ChartFill>, target: string] }>()
const { t } = useI18n()
const design = useDesign()
const forms = ['bars', 'line', 'gauge', 'figure'] as const
/** What is typed stays as typed, also a row that is not whole yet. */
const rows = ref<[string, string][]>([])
const table = useTemplateRef<HTMLElement>('table')
watch(
  () => props.fill.rows,
  // While somebody is in the rows they are theirs: an answer about one takes away no other.
  (known) => table.value?.contains(document.activeElement) || (rows.value = known.map(([label, value]) => [label, value])),
  { immediate: true },
)
const text = (event: Event): string => (event.target as HTMLInputElement).value
const send = (): void => emit('set', { rows: rows.value.filter(([, value]) => value.trim() !== '') }, 'rows')
const labelOf = (index: number): HTMLElement | null | undefined =>
  table.value?.querySelectorAll<HTMLElement>('.chart-row')[index]?.querySelector('input')
async function add(): Promise<void> {
  rows.value = [...rows.value, ['', '']]
  await nextTick()
  labelOf(rows.value.length - 1)?.focus()
}
async function remove(index: number): Promise<void> {
  rows.value = rows.value.filter((_, at) => at !== index)
  await nextTick()
  ;(labelOf(Math.min(index, rows.value.length - 1)) ?? table.value?.querySelector<HTMLElement>('.btn'))?.focus()
  send()
}
</script>

<template>
  <div class="field-row">
    <label>
      {{ t('chart.form') }}
      <BFormSelect size="sm" :model-value="fill.form" @change="emit('set', { form: text($event) as 'bars' }, 'form')">
        <option v-for="one in forms" :key="one" :value="one">{{ t(`chart.${one}`) }}</option>
      </BFormSelect>
    </label>
    <label>
      {{ t('chart.unit') }}
      <BFormInput size="sm" maxlength="20" :model-value="fill.unit" @change="emit('set', { unit: text($event) }, 'unit')" />
    </label>
  </div>
  <fieldset ref="table" class="rows">
    <legend>{{ t('chart.rows') }}</legend>
    <div v-for="(row, index) in rows" :key="index" class="chart-row">
      <BFormInput v-model="row[0]" size="sm" maxlength="80" :aria-label="t('chart.label', { row: index + 1 })" @change="send" />
      <BFormInput
        v-model="row[1]"
        size="sm"
        class="measure"
        maxlength="16"
        :aria-label="t('chart.value', { row: index + 1 })"
        @change="send" />
      <button type="button" class="plain" :aria-label="t('chart.remove', { row: index + 1 })" @click="remove(index)">×</button>
    </div>
    <FieldRefusal :at="/\/rows(\/|$)/" />
    <button type="button" class="btn btn-sm btn-outline-dark" :disabled="rows.length >= 40" @click="add">{{ t('chart.add') }}</button>
  </fieldset>
  <div v-if="fill.form === 'gauge'" class="field-row">
    <label>
      {{ t('chart.from') }}
      <BFormInput size="sm" class="measure" :model-value="fill.from" @change="emit('set', { from: text($event) }, 'from')" />
    </label>
    <label>
      {{ t('chart.to') }}
      <BFormInput size="sm" class="measure" :model-value="fill.to" @change="emit('set', { to: text($event) }, 'to')" />
    </label>
  </div>
  <FieldRefusal :at="/\/(from|to)$/" />
  <FaceFields :font="fill.font" :weight="fill.weight" @set="(face, target) => emit('set', face, target)" />
  <div class="field-row">
    <MeasureField
      :label="t('fill.size')"
      unit="px"
      path="/size"
      :value="fill.size"
      :refusal="design.refusal"
      @set="(size) => emit('set', { size, min_size: Math.min(fill.min_size, size) }, 'size')" />
    <MeasureField
      :label="t('fill.min')"
      unit="px"
      path="/min_size"
      :value="fill.min_size"
      :refusal="design.refusal"
      @set="emit('set', { min_size: $event }, 'min_size')" />
    <MeasureField
      :label="t('fill.padding')"
      unit="px"
      path="/padding"
      :value="fill.padding"
      :refusal="design.refusal"
      @set="emit('set', { padding: $event }, 'padding')" />
  </div>
  <ColourField :label="t('fill.ink')" :value="fill.ink" @set="emit('set', { ink: $event }, 'ink')" />
  <ColourField :label="t('fill.colour-label')" :value="fill.colour" @set="emit('set', { colour: $event }, 'colour')" />
  <ColourField :label="t('chart.accent')" :value="fill.accent" @set="emit('set', { accent: $event }, 'accent')" />
  <GroundField :value="fill.ground" @set="emit('set', { ground: $event }, 'ground')" />
</template>

<style scoped>
.chart-row {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 6rem auto;
  gap: 0.3rem;
  margin-bottom: 0.3rem;
}
.rows {
  margin-bottom: 0.6rem;
}
.rows legend {
  font-size: 0.8125rem;
}
</style>
