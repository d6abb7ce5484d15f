<script setup lang="ts">
import { BFormCheckbox, BFormSelect } from 'bootstrap-vue-next'
import { useI18n } from 'vue-i18n'
import { SHAPES, type Clip } from '../../api/fills'
import MeasureField from '../../ui/MeasureField.vue'
import ColourField from './ColourField.vue'
import { useDesign } from '../store/design'

/** The shape that a picture, a video or a playlist is seen in. */
const props = defineProps<{ clip: Clip | null }>()
const emit = defineEmits<{ set: [clip: Clip | null] }>()
const { t } = useI18n()
const design = useDesign()
const LINE = { colour: '#F4F1EA', px: 8 }
function choose(event: Event): void {
  const shape = (event.target as HTMLSelectElement).value as Clip['shape'] | ''
  emit('set', shape === '' ? null : { radius: 0, ...props.clip, shape })
}
</script>

<template>
  <label>
    {{ t('figure.in') }}
    <BFormSelect size="sm" :model-value="clip?.shape ?? ''" @change="choose">
      <option value="">{{ t('figure.whole') }}</option>
      <option v-for="one in SHAPES" :key="one" :value="one">{{ t(`figure.${one}`) }}</option>
    </BFormSelect>
  </label>
  <template v-if="clip">
    <MeasureField
      v-if="clip.shape === 'rectangle'"
      :label="t('effects.radius')"
      unit="px"
      path="/clip/radius"
      :value="clip.radius"
      :refusal="design.refusal"
      @set="emit('set', { ...clip, radius: $event })" />
    <BFormCheckbox :model-value="!!clip.line" @update:model-value="emit('set', { ...clip, line: $event ? LINE : null })">
      {{ t('figure.line-around') }}
    </BFormCheckbox>
    <div v-if="clip.line" class="field-row">
      <ColourField
        :label="t('effects.colour')"
        :value="clip.line.colour"
        @set="emit('set', { ...clip, line: { ...LINE, ...clip.line, colour: $event } })" />
      <MeasureField
        :label="t('effects.px')"
        unit="px"
        path="/clip/line/px"
        :value="clip.line.px"
        :refusal="design.refusal"
        @set="emit('set', { ...clip, line: { ...LINE, ...clip.line, px: $event } })" />
    </div>
  </template>
</template>
