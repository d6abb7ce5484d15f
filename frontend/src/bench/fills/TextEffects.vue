<script setup lang="ts">
import { BFormCheckbox } from 'bootstrap-vue-next'
import { useI18n } from 'vue-i18n'
import type { TextStyle, WrittenFill } from '../../api/types'
import MeasureField from '../../ui/MeasureField.vue'
import ColourField from './ColourField.vue'
import { useDesign } from '../store/design'

const props = defineProps<{ fill: WrittenFill }>()
const emit = defineEmits<{ set: [part: Partial<TextStyle>, target: string] }>()
const { t } = useI18n()
const design = useDesign()

/** What an effect begins with; figures are parts of the size, so that it shows at any. */
const share = (of: number): number => Math.max(1, Math.round(props.fill.size / of))
const FRESH = {
  gradient: () => ({ to: '#A33F28', angle: 90 }),
  outline: () => ({ colour: '#0C1216', px: share(24) }),
  shadow: () => ({ colour: '#0C1216', x: share(20), y: share(20), blur: share(12) }),
  plate: () => ({ colour: '#0C1216', padding: share(3), radius: share(6) }),
}
const COLOUR = { gradient: 'to', outline: 'colour', shadow: 'colour', plate: 'colour' } as const
type Effect = keyof typeof FRESH
const FIGURES = { gradient: ['angle'], outline: ['px'], shadow: ['x', 'y', 'blur'], plate: ['padding', 'radius'] } as const
const effects = Object.keys(FRESH) as Effect[]

const toggle = (effect: Effect, on: boolean): void => emit('set', { [effect]: on ? FRESH[effect]() : null }, effect)
const change = (effect: Effect, part: Record<string, unknown>): void =>
  emit('set', { [effect]: { ...props.fill[effect], ...part } }, `${effect}.${Object.keys(part)[0]}`)
const part = (effect: Effect): Record<string, string | number> => (props.fill[effect] ?? {}) as Record<string, string | number>
const colour = (effect: Effect): string => String(part(effect)[COLOUR[effect]] ?? '')
const figure = (effect: Effect, key: string): number => Number(part(effect)[key] ?? 0)
</script>

<template>
  <MeasureField
    :label="t('effects.spacing')"
    unit="‰"
    path="/spacing"
    :value="fill.spacing ?? 0"
    :refusal="design.refusal"
    @set="emit('set', { spacing: $event }, 'spacing')" />
  <fieldset v-for="effect in effects" :key="effect" class="effect">
    <legend class="visually-hidden">{{ t(`effects.${effect}`) }}</legend>
    <BFormCheckbox :model-value="!!fill[effect]" @update:model-value="toggle(effect, !!$event)">
      {{ t(`effects.${effect}`) }}
    </BFormCheckbox>
    <div v-if="fill[effect]" class="field-row">
      <ColourField
        :label="t(effect === 'gradient' ? 'effects.to' : 'effects.colour')"
        :value="colour(effect)"
        @set="change(effect, { [COLOUR[effect]]: $event })" />
      <MeasureField
        v-for="key in FIGURES[effect]"
        :key="key"
        :label="t(`effects.${key}`)"
        :unit="effect === 'gradient' ? '°' : 'px'"
        :path="`/${effect}/${key}`"
        :value="figure(effect, key)"
        :refusal="design.refusal"
        @set="change(effect, { [key]: $event })" />
    </div>
  </fieldset>
</template>

<style scoped>
/* What is not seen lies in it, not at the foot of the page. */
.effect {
  position: relative;
  margin-top: 0.4rem;
}
.effect .field-row {
  flex-wrap: wrap;
}
.effect .colour-field {
  flex: 1 0 100%;
}
</style>
