<script setup lang="ts">
import { BFormCheckbox, BFormSelect } from 'bootstrap-vue-next'
import { useI18n } from 'vue-i18n'
import type { ResolvedPanel, Slice } from '../api/surfaces'
import type { Rect } from '../plan/types'
import NumberField from './NumberField.vue'
import TurnSelect from './TurnSelect.vue'

/** One slice by numbers: what is taken from the canvas, where it lies in the signal, turned and mirrored how. */
const slice = defineModel<Slice>({ required: true })
defineProps<{ panels: ResolvedPanel[]; path: string }>()
const { t } = useI18n()
const corners = ['x', 'y', 'width', 'height'] as const
function side(key: 'canvas' | 'raster', at: number, value: number | null): void {
  const rect = [...slice.value[key]] as Rect
  rect[at] = value ?? 0
  slice.value = { ...slice.value, [key]: rect }
}
</script>

<template>
  <div class="slice-fields">
    <div class="field-row">
      <label>
        {{ t('outputs.panel') }}
        <BFormSelect size="sm" :model-value="slice.panel" @change="slice = { ...slice, panel: ($event.target as HTMLSelectElement).value }">
          <option v-for="panel in panels" :key="panel.id" :value="panel.id">{{ panel.letter }} ({{ panel.number }})</option>
        </BFormSelect>
      </label>
      <TurnSelect :model-value="slice.turn" :label="t('outputs.turn')" @update:model-value="slice = { ...slice, turn: $event }" />
      <BFormCheckbox :model-value="slice.mirror" @update:model-value="slice = { ...slice, mirror: !slice.mirror }">
        {{ t('outputs.mirror') }}
      </BFormCheckbox>
    </div>
    <template v-for="key in ['canvas', 'raster'] as const" :key="key">
      <p class="group-label">{{ t(`outputs.${key}`) }}</p>
      <div class="field-row">
        <NumberField
          v-for="(corner, at) in corners"
          :key="corner"
          :model-value="slice[key][at]!"
          :label="t(`shape.${corner}`)"
          unit="px"
          :path="`${path}/${key}/${at}`"
          @update:model-value="side(key, at, $event)" />
      </div>
    </template>
  </div>
</template>
