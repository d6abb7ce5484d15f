<script setup lang="ts">
import { BFormRadio } from 'bootstrap-vue-next'
import { useI18n } from 'vue-i18n'
import type { GridShape, PanelShape, Shape } from '../api/surfaces'
import type { Rect } from '../plan/types'
import NumberField from './NumberField.vue'
import TurnSelect from './TurnSelect.vue'

/** How the panels stand: columns × rows of one panel, with bezels, gaps, and whether the picture goes on behind the seams. */
const shape = defineModel<Shape>({ required: true })
defineProps<{ figures?: boolean }>()
const { t } = useI18n()
const sides = ['left', 'top', 'right', 'bottom'] as const
const grid = (): GridShape => shape.value.grid ?? { columns: 1, rows: 1, panel: (shape.value.panels?.[0] ?? {}) as PanelShape }
const put = (change: Partial<GridShape>): void => void (shape.value = { ...shape.value, grid: { ...grid(), ...change } })
const panel = (change: Partial<PanelShape>): void => put({ panel: { ...grid().panel, ...change } })

function bezel(side: number, value: number | null): void {
  const all = [...(grid().panel.bezel_mm ?? [0, 0, 0, 0])] as Rect
  all[side] = value ?? 0
  panel({ bezel_mm: all })
}
function pair(key: 'native' | 'active_mm', axis: 0 | 1, value: number | null): void {
  const both = [...grid().panel[key]] as [number, number]
  both[axis] = value ?? 0
  panel({ [key]: both })
}
function gap(axis: number, value: number | null): void {
  const both = [...(grid().gap_mm ?? [0, 0])] as [number, number]
  both[axis] = value ?? 0
  put({ gap_mm: both })
}
</script>

<template>
  <fieldset v-if="shape.grid">
    <div class="field-row">
      <NumberField
        :model-value="shape.grid.columns"
        :label="t('shape.columns')"
        path="/grid/columns"
        @update:model-value="put({ columns: $event ?? 0 })" />
      <NumberField
        :model-value="shape.grid.rows"
        :label="t('shape.rows')"
        path="/grid/rows"
        @update:model-value="put({ rows: $event ?? 0 })" />
      <TurnSelect
        :model-value="shape.grid.panel.rotation ?? 0"
        :label="t('shape.panel-turn')"
        @update:model-value="panel({ rotation: $event })" />
    </div>
    <p class="group-label">{{ t('shape.each-panel') }}</p>
    <slot />
    <template v-if="figures">
      <div class="field-row">
        <NumberField
          :model-value="shape.grid.panel.native[0]"
          :label="t('shape.px-width')"
          unit="px"
          path="/panel/native/0"
          @update:model-value="pair('native', 0, $event)" />
        <NumberField
          :model-value="shape.grid.panel.native[1]"
          :label="t('shape.px-height')"
          unit="px"
          path="/panel/native/1"
          @update:model-value="pair('native', 1, $event)" />
      </div>
      <div class="field-row">
        <NumberField
          :model-value="shape.grid.panel.active_mm[0]"
          :label="t('shape.mm-width')"
          unit="mm"
          path="/panel/active_mm/0"
          @update:model-value="pair('active_mm', 0, $event)" />
        <NumberField
          :model-value="shape.grid.panel.active_mm[1]"
          :label="t('shape.mm-height')"
          unit="mm"
          path="/panel/active_mm/1"
          @update:model-value="pair('active_mm', 1, $event)" />
      </div>
    </template>
    <p class="group-label">{{ t('shape.bezel') }}</p>
    <div class="field-row">
      <NumberField
        v-for="(side, index) in sides"
        :key="side"
        :model-value="shape.grid.panel.bezel_mm?.[index] ?? 0"
        :label="t(`shape.${side}`)"
        unit="mm"
        :path="`/bezel_mm/${index}`"
        @update:model-value="bezel(index, $event)" />
    </div>
    <div class="field-row">
      <NumberField
        :model-value="shape.grid.gap_mm?.[0] ?? 0"
        :label="t('shape.gap-x')"
        unit="mm"
        path="/gap_mm/0"
        @update:model-value="gap(0, $event)" />
      <NumberField
        :model-value="shape.grid.gap_mm?.[1] ?? 0"
        :label="t('shape.gap-y')"
        unit="mm"
        path="/gap_mm/1"
        @update:model-value="gap(1, $event)" />
    </div>
    <div class="choices">
      <BFormRadio
        name="mode"
        value="compensated"
        :model-value="shape.mode ?? 'compensated'"
        @update:model-value="shape = { ...shape, mode: 'compensated' }">
        {{ t('shape.compensated') }}
      </BFormRadio>
      <BFormRadio
        name="mode"
        value="butted"
        :model-value="shape.mode ?? 'compensated'"
        @update:model-value="shape = { ...shape, mode: 'butted' }">
        {{ t('shape.butted') }}
      </BFormRadio>
    </div>
  </fieldset>
</template>
