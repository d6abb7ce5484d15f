<script setup lang="ts">
import { BFormCheckbox } from 'bootstrap-vue-next'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import MeasureField from '../../ui/MeasureField.vue'
import { useDesign } from '../store/design'
import LengthField from '../fills/LengthField.vue'
import { useFloats } from '../store/useFloats'

/** How large one float is and where it lies, in the units it is written in. */
const props = defineProps<{ zone: string }>()
const { t } = useI18n()
const design = useDesign()
const floats = useFloats()
const place = computed(() => design.bench.floats[props.zone])
const plan = computed(() => design.zones[props.zone])
function pair(index: 0 | 1, text: string, old: [string, string]): [string, string] {
  return index === 0 ? [text, old[1]] : [old[0], text]
}
const offset = (index: 0 | 1, text: string): void => void (place.value && floats.move(props.zone, pair(index, text, place.value.offset)))
const size = (index: 0 | 1, text: string): void =>
  void (place.value && floats.size(props.zone, pair(index, text, place.value.size), keepsRatio.value))
/** Pictures and videos are seldom meant to be another shape. */
const keepsRatio = ref(false)
watch(
  () => [props.zone, design.documents[props.zone]?.fill.kind],
  ([, kind]) => (keepsRatio.value = kind === 'picture' || kind === 'video'),
  { immediate: true },
)
</script>

<template>
  <template v-if="place && plan">
    <div class="field-row">
      <LengthField :label="t('bench.width')" :value="place.size[0]" path="/size/0" :refusal="design.refusal" @set="size(0, $event)" />
      <LengthField :label="t('bench.height')" :value="place.size[1]" path="/size/1" :refusal="design.refusal" @set="size(1, $event)" />
      <MeasureField
        :label="t('float.turn')"
        unit="°"
        :parts="100"
        path="/turn"
        :value="place.turn"
        :refusal="design.refusal"
        @set="floats.turn(zone, $event)" />
    </div>
    <BFormCheckbox v-model="keepsRatio">{{ t('float.keep-ratio') }}</BFormCheckbox>
    <p v-if="place.locked" class="hint">{{ t('float.is-locked', { letter: plan.letter }) }}</p>
    <div class="field-row">
      <LengthField
        :label="t('float.across')"
        :value="place.offset[0]"
        path="/offset/0"
        :refusal="design.refusal"
        @set="offset(0, $event)" />
      <LengthField :label="t('float.down')" :value="place.offset[1]" path="/offset/1" :refusal="design.refusal" @set="offset(1, $event)" />
      <MeasureField
        :label="t('float.opacity')"
        unit="%"
        :parts="10"
        path="/set/opacity"
        :value="place.opacity ?? 1000"
        :refusal="design.refusal"
        @set="floats.traits([zone], { opacity: $event })" />
    </div>
  </template>
</template>
