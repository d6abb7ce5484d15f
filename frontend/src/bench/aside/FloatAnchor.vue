<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { ANCHORS, type Anchor } from '../../api/floats'
import { useDesign } from '../store/design'
import { useFloats } from '../store/useFloats'

/** Which point of a float is held to which frame. */
const props = defineProps<{ zone: string }>()
const { t } = useI18n()
const design = useDesign()
const floats = useFloats()
const place = computed(() => design.bench.floats[props.zone])
const plan = computed(() => design.zones[props.zone])
/** Panes by their letters, panels by theirs. */
const frames = computed(() => [
  { value: 'canvas', text: t('float.canvas') },
  ...design.plans.filter((one) => !one.float).map((one) => ({ value: `pane:${one.id}`, text: t('float.pane', { letter: one.letter }) })),
  ...(Object.keys(design.answer?.panels ?? {}).length > 1
    ? Object.keys(design.answer?.panels ?? {}).map((panel) => ({ value: `panel:${panel}`, text: t('float.panel', { panel }) }))
    : []),
])
const hold = (frame: string, anchor: Anchor): void => void floats.anchor(props.zone, frame, anchor)
</script>

<template>
  <div v-if="place && plan" class="anchor-row">
    <fieldset class="anchor-points" :aria-label="t('float.anchor')">
      <button
        v-for="anchor in ANCHORS"
        :key="anchor"
        type="button"
        :aria-pressed="place.anchor === anchor"
        :aria-label="t(`anchor.${anchor}`)"
        :title="t(`anchor.${anchor}`)"
        @click="hold(place.frame, anchor)" />
    </fieldset>
    <div>
      <label>
        {{ t('float.frame') }}
        <BFormSelect
          size="sm"
          :model-value="place.frame"
          :options="frames"
          @change="hold(($event.target as HTMLSelectElement).value, place.anchor)" />
      </label>
      <p class="hint">
        {{
          t('float.held', {
            point: t(`anchor.${place.anchor}`),
            frame: frames.find((one) => one.value === place?.frame)?.text ?? place.frame,
          })
        }}
        <span class="measure">{{ t('float.lies', { x: String(plan.rect[0]), y: String(plan.rect[1]) }) }}</span>
      </p>
    </div>
  </div>
</template>
