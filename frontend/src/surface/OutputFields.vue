<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next'
import { useI18n } from 'vue-i18n'
import type { Output, SurfaceWhole } from '../api/surfaces'
import NumberField from './NumberField.vue'

/** One output by numbers: whose it is, its signal mode; slices and the output itself come and go here. */
const output = defineModel<Output>({ required: true })
const props = defineProps<{ surface: SurfaceWhole; index: number }>()
const emit = defineEmits<{ remove: [] }>()
const { t } = useI18n()
const put = (change: Partial<Output>): void => void (output.value = { ...output.value, ...change })
const px = (axis: 0 | 1, value: number | null): void =>
  put({ px: axis === 0 ? [value ?? 0, output.value.px[1]] : [output.value.px[0], value ?? 0] })

/** The first panel that has no signal yet, whole, in the corner of this one. */
function addSlice(): void {
  const wired = new Set(props.surface.wiring.outputs.flatMap((one) => one.slices.map((slice) => slice.panel)))
  const panel = props.surface.panels.find((one) => !wired.has(one.id)) ?? props.surface.panels[0]
  if (panel)
    put({
      slices: [
        ...output.value.slices,
        { panel: panel.id, canvas: panel.rect, raster: [0, 0, ...panel.native], turn: panel.turn, mirror: false },
      ],
    })
}
</script>

<template>
  <div class="field-row">
    <label>
      {{ t('outputs.player') }}
      <BFormSelect size="sm" :model-value="output.player" @change="put({ player: ($event.target as HTMLSelectElement).value })">
        <option v-for="one in surface.feeding" :key="one.code">{{ one.code }}</option>
      </BFormSelect>
    </label>
    <NumberField
      :model-value="output.number"
      :label="t('outputs.number')"
      :path="`/outputs/${index}/number`"
      @update:model-value="put({ number: $event ?? 0 })" />
    <NumberField
      :model-value="output.millihertz / 1000"
      :label="t('outputs.rate')"
      unit="Hz"
      :path="`/outputs/${index}/millihertz`"
      @update:model-value="put({ millihertz: typeof $event === 'number' ? Math.round($event * 1000) : ($event as unknown as number) })" />
  </div>
  <div class="field-row">
    <NumberField
      :model-value="output.px[0]"
      :label="t('outputs.signal-width')"
      unit="px"
      :path="`/outputs/${index}/px/0`"
      @update:model-value="px(0, $event)" />
    <NumberField
      :model-value="output.px[1]"
      :label="t('outputs.signal-height')"
      unit="px"
      :path="`/outputs/${index}/px/1`"
      @update:model-value="px(1, $event)" />
  </div>
  <div class="button-row">
    <button type="button" class="btn btn-sm btn-outline-dark" @click="addSlice">{{ t('outputs.add-slice') }}</button>
    <button type="button" class="btn btn-sm btn-outline-dark" @click="emit('remove')">{{ t('outputs.remove') }}</button>
  </div>
</template>
