<script setup lang="ts">
import { BFormInput, BFormSelect } from 'bootstrap-vue-next'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { ClockFill, CountFill, TextStyle, WrittenFill } from '../../api/types'
import type { Item } from '../../plan/types'
import type { Section } from './fillParts'
import { useStyles, type TypeStep } from '../../styles/styles'
import MeasureField from '../../ui/MeasureField.vue'
import ColourField from './ColourField.vue'
import { useCopiedLook } from './copiedLook'
import CountFields from './CountFields.vue'
import { useDesign } from '../store/design'
import EntranceFields from './EntranceFields.vue'
import FaceFields from './FaceFields.vue'
import FieldRefusal from './FieldRefusal.vue'
import GroundField from './GroundField.vue'
import TextEffects from './TextEffects.vue'
import TextWords from './TextWords.vue'
import TickerFields from './TickerFields.vue'

/** `part`: which section of the particulars it stands in; without one, all of it. */
const props = defineProps<{ fill: WrittenFill; item: Item | undefined; standing?: boolean; part?: Section | undefined }>()
const shows = (part: Section): boolean => props.part === undefined || props.part === part
const emit = defineEmits<{ set: [part: Partial<WrittenFill>, target: string] }>()
const { t } = useI18n()
const { copied, copy } = useCopiedLook()
const design = useDesign()
const styles = useStyles()
const leastSize = computed(() => (props.standing ? undefined : design.document?.least_sizes?.[props.item?.entry ?? '']))
/** What a step of the type scale says: set by hand, it is a step no more. */
const OF_STEP: string[] = ['font', 'weight', 'size', 'line_height']
const modes = ['as_set', 'wrap', 'shrink', 'wrap_shrink', 'ellipsis'] as const
const aligns = ['left', 'centre', 'right'] as const
const valigns = ['top', 'middle', 'bottom'] as const

const pattern = (fill: ClockFill | CountFill, event: Event): void => {
  const typed = (event.target as HTMLInputElement).value
  if (typed !== fill.pattern) emit('set', { pattern: typed }, 'words')
}
const whole = (key: keyof TextStyle, value: number): void => {
  const least = key === 'size' ? { min_size: Math.min(props.fill.min_size, value) } : {}
  emit(
    'set',
    { [key]: value, ...least, ...(OF_STEP.includes(key) ? { type: null } : {}), ...(key === 'padding' ? { space: null } : {}) },
    key,
  )
}
const choose = (key: keyof TextStyle, event: Event): void => emit('set', { [key]: (event.target as HTMLSelectElement).value }, key)
const steps = computed(() => styles.find(design.answer?.style)?.types ?? {})
const spaces = computed(() => styles.find(design.answer?.style)?.spaces ?? {})
function toSpace(event: Event): void {
  const id = (event.target as HTMLSelectElement).value
  const step = spaces.value[id]
  emit('set', step ? { padding: step.px, space: id } : { space: null }, 'space')
}
function toStep(event: Event): void {
  const id = (event.target as HTMLSelectElement).value
  const step = steps.value[id]
  emit('set', step ? { ...faceOf(step), min_size: Math.min(props.fill.min_size, step.size), type: id } : { type: null }, 'type')
}
const faceOf = ({ font, weight, size, line_height }: TypeStep): Partial<TextStyle> => ({ font, weight, size, line_height })
</script>

<template>
  <template v-if="shows('fill')">
    <TextWords v-if="fill.kind === 'text'" :fill="fill" @set="(part, target) => emit('set', part, target)" />
    <label v-else>
      {{ t('fill.pattern') }}
      <BFormInput size="sm" :model-value="fill.pattern" class="measure" maxlength="60" @change="pattern(fill, $event)" />
    </label>
    <template v-if="fill.kind !== 'text'">
      <FieldRefusal :at="/\/pattern$/" />
      <p class="hint">{{ t(fill.kind === 'count' ? 'count.hint' : 'fill.pattern-hint') }}</p>
    </template>
    <CountFields v-if="fill.kind === 'count'" :fill="fill" @set="(part, target) => emit('set', part, target)" />
    <p v-if="item && 'size' in item && item.size !== fill.size" class="measure" role="status">
      {{ t('fill.set-size', { size: String(item.size) }) }}
    </p>
    <label v-if="Object.keys(steps).length">
      {{ t('style.type') }}
      <BFormSelect size="sm" :model-value="fill.type ?? ''" @change="toStep">
        <option value="">{{ t('style.no-type') }}</option>
        <option v-for="(step, id) in steps" :key="id" :value="id">{{ step.name }}</option>
      </BFormSelect>
    </label>
    <div class="field-row">
      <MeasureField
        :label="t('fill.size')"
        unit="px"
        path="/size"
        :value="fill.size"
        :refusal="design.refusal"
        @set="whole('size', $event)" />
      <label v-if="fill.kind === 'text'" class="wide">
        {{ t('fill.mode') }}
        <BFormSelect size="sm" :model-value="fill.mode" @change="choose('mode', $event)">
          <option v-for="one in modes" :key="one" :value="one">{{ t(`fill.${one}`) }}</option>
        </BFormSelect>
      </label>
    </div>
    <p v-if="leastSize" class="hint measure">{{ t('fill.least-size', { size: String(leastSize) }) }}</p>
    <ColourField :label="t('fill.ink')" :value="fill.colour" @set="(colour) => emit('set', { colour }, 'colour')" />
  </template>
  <template v-if="shows('look')">
    <FaceFields :font="fill.font" :weight="fill.weight" @set="(face, target) => emit('set', { ...face, type: null }, target)" />
    <div class="field-row">
      <label>
        {{ t('fill.align') }}
        <BFormSelect size="sm" :model-value="fill.align" @change="choose('align', $event)">
          <option v-for="one in aligns" :key="one" :value="one">{{ t(`fill.${one}`) }}</option>
        </BFormSelect>
      </label>
      <label>
        {{ t('fill.valign') }}
        <BFormSelect size="sm" :model-value="fill.valign" @change="choose('valign', $event)">
          <option v-for="one in valigns" :key="one" :value="one">{{ t(`fill.${one}`) }}</option>
        </BFormSelect>
      </label>
    </div>
    <div class="field-row">
      <MeasureField
        :label="t('fill.min')"
        unit="px"
        path="/min_size"
        :value="fill.min_size"
        :refusal="design.refusal"
        @set="whole('min_size', $event)" />
      <MeasureField
        :label="t('fill.padding')"
        unit="px"
        path="/padding"
        :value="fill.padding"
        :refusal="design.refusal"
        @set="whole('padding', $event)" />
      <label v-if="Object.keys(spaces).length">
        {{ t('style.space') }}
        <BFormSelect size="sm" :model-value="fill.space ?? ''" @change="toSpace">
          <option value="">{{ t('style.no-space') }}</option>
          <option v-for="(step, id) in spaces" :key="id" :value="id">{{ step.name }}</option>
        </BFormSelect>
      </label>
    </div>
    <GroundField v-if="!standing" :value="fill.ground" @set="emit('set', { ground: $event }, 'ground')" />
    <TextEffects :fill="fill" @set="(part, target) => emit('set', part, target)" />
    <div class="field-row looks">
      <button type="button" class="btn btn-sm btn-outline-dark" @click="copy(fill)">{{ t('effects.copy') }}</button>
      <button type="button" class="btn btn-sm btn-outline-dark" :disabled="!copied" @click="copied && emit('set', copied, 'look')">
        {{ t('effects.use') }}
      </button>
    </div>
  </template>
  <template v-if="shows('time') && fill.kind === 'text' && !standing">
    <EntranceFields v-if="!fill.ticker" :fill="fill" @set="(part, target) => emit('set', part, target)" />
    <TickerFields :fill="fill" :item="item" @set="(part, target) => emit('set', part, target)" />
  </template>
</template>

<style scoped>
.looks {
  margin: 0.4rem 0 0.8rem;
}
</style>
