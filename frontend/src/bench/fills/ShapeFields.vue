<script setup lang="ts">
import { BFormCheckbox, BFormSelect } from 'bootstrap-vue-next'
import { useI18n } from 'vue-i18n'
import { SHAPES, type ShapeFill, type TextFill } from '../../api/types'
import MeasureField from '../../ui/MeasureField.vue'
import ColourField from './ColourField.vue'
import { useDesign } from '../store/design'
import GroundField from './GroundField.vue'
import TextFields from './TextFields.vue'

const props = defineProps<{ fill: ShapeFill }>()
const emit = defineEmits<{ set: [part: Partial<ShapeFill>, target: string] }>()
const { t } = useI18n()
const design = useDesign()
const FRESH = { gradient: { to: '#1D2A33', angle: 90 }, line: { colour: '#F4F1EA', px: 4 } }
const LABEL: TextFill = {
  kind: 'text',
  text: '',
  ...{ font: 'Inter', weight: 700, size: 96, min_size: 12, mode: 'wrap_shrink', line_height: 1100 },
  ...{ colour: '#FFFDF8', ground: null, align: 'centre', valign: 'middle', padding: 0 },
}
type Part = keyof typeof FRESH
const toggle = (part: Part, on: boolean): void => emit('set', { [part]: on ? FRESH[part] : null }, part)
const change = (part: Part, what: Record<string, unknown>): void =>
  emit('set', { [part]: { ...FRESH[part], ...props.fill[part], ...what } }, `${part}.${Object.keys(what)[0]}`)
</script>

<template>
  <label>
    {{ t('figure.shape') }}
    <BFormSelect
      size="sm"
      :model-value="fill.shape"
      @change="emit('set', { shape: ($event.target as HTMLSelectElement).value as ShapeFill['shape'] }, 'shape')">
      <option v-for="one in SHAPES" :key="one" :value="one">{{ t(`figure.${one}`) }}</option>
    </BFormSelect>
  </label>
  <ColourField :label="t('fill.colour-label')" :value="fill.colour" @set="emit('set', { colour: $event }, 'colour')" />
  <BFormCheckbox :model-value="!!fill.gradient" @update:model-value="toggle('gradient', !!$event)">
    {{ t('figure.gradient') }}
  </BFormCheckbox>
  <div v-if="fill.gradient" class="field-row">
    <ColourField :label="t('figure.to')" :value="fill.gradient.to" @set="change('gradient', { to: $event })" />
    <MeasureField
      :label="t('figure.angle')"
      unit="°"
      path="/gradient/angle"
      :value="fill.gradient.angle"
      :refusal="design.refusal"
      @set="change('gradient', { angle: $event })" />
  </div>
  <BFormCheckbox :model-value="!!fill.line" @update:model-value="toggle('line', !!$event)">{{ t('figure.line-around') }}</BFormCheckbox>
  <div v-if="fill.line" class="field-row">
    <ColourField :label="t('effects.colour')" :value="fill.line.colour" @set="change('line', { colour: $event })" />
    <MeasureField
      :label="t('effects.px')"
      unit="px"
      path="/line/px"
      :value="fill.line.px"
      :refusal="design.refusal"
      @set="change('line', { px: $event })" />
  </div>
  <div class="field-row">
    <MeasureField
      v-if="fill.shape === 'rectangle'"
      :label="t('effects.radius')"
      unit="px"
      path="/radius"
      :value="fill.radius"
      :refusal="design.refusal"
      @set="emit('set', { radius: $event }, 'radius')" />
    <MeasureField
      :label="t('fill.padding')"
      unit="px"
      path="/padding"
      :value="fill.padding"
      :refusal="design.refusal"
      @set="emit('set', { padding: $event }, 'padding')" />
  </div>
  <BFormCheckbox :model-value="!!fill.label" @update:model-value="emit('set', { label: $event ? LABEL : null }, 'label')">
    {{ t('figure.label') }}
  </BFormCheckbox>
  <TextFields
    v-if="fill.label"
    standing
    :fill="fill.label"
    :item="undefined"
    @set="(part, target) => emit('set', { label: { ...fill.label, ...part } as TextFill }, `label.${target}`)" />
  <GroundField :value="fill.ground" @set="emit('set', { ground: $event }, 'ground')" />
</template>
