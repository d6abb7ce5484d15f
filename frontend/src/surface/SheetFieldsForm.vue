<script setup lang="ts">
import { BFormCheckbox, BFormInput, BFormSelect } from 'bootstrap-vue-next'
import { useI18n } from 'vue-i18n'
import type { SheetFields, SurfaceWhole } from '../api/surfaces'
import type { Rect } from '../plan/types'
import { useBook } from './book'
import NumberField from './NumberField.vue'
import { useSurfaces } from './surfaces'

/** What is kept of a surface besides its panels; every field is saved as soon as it is left. */
const props = defineProps<{ surface: SurfaceWhole }>()
const { t } = useI18n()
const surfaces = useSurfaces()
const sides = ['left', 'top', 'right', 'bottom'] as const
const book = useBook()
const set = (fields: Partial<SheetFields>): void => void surfaces.change(props.surface.code, fields)

function viewing(which: 0 | 1, metres: number | null): void {
  const both = [...props.surface.viewing_mm] as [number, number]
  both[which] = typeof metres === 'number' ? Math.round(metres * 1000) : (metres as unknown as number)
  set({ viewing_mm: both })
}
function safe(side: number, px: number | null): void {
  const all = [...props.surface.safe_px] as Rect
  all[side] = px ?? 0
  set({ safe_px: all })
}
const join = (group: string, joins: boolean): void =>
  set({ groups: joins ? [...props.surface.groups, group] : props.surface.groups.filter((one) => one !== group) })
</script>

<template>
  <fieldset :disabled="!surfaces.mayMount">
    <label>
      {{ t('field.name') }}
      <BFormInput
        size="sm"
        :model-value="surface.name"
        maxlength="120"
        @change="set({ name: ($event.target as HTMLInputElement).value })" />
    </label>
    <div class="field-row">
      <label>
        {{ t('field.kind') }}
        <BFormSelect
          size="sm"
          :model-value="surface.kind"
          @change="set({ kind: ($event.target as HTMLSelectElement).value as SheetFields['kind'] })">
          <option v-for="one in ['LCD', 'LED', 'projection']" :key="one" :value="one">{{ t(`kind.${one}`) }}</option>
        </BFormSelect>
      </label>
    </div>
    <p class="group-label">{{ t('field.groups') }}</p>
    <p v-if="!book.groups.length" class="hint">{{ t('surface.no-groups') }}</p>
    <BFormCheckbox
      v-for="group in book.groups"
      :key="group.id"
      :model-value="surface.groups.includes(group.id)"
      @update:model-value="join(group.id, $event === true)">
      {{ group.name }}
    </BFormCheckbox>
    <p class="group-label">{{ t('surface.place') }}</p>
    <div class="field-row">
      <NumberField
        :model-value="surface.left_mm"
        :label="t('field.left_mm')"
        unit="mm"
        path="/left_mm"
        @update:model-value="set({ left_mm: $event ?? 0 })" />
      <NumberField
        :model-value="surface.floor_mm"
        :label="t('field.floor_mm')"
        unit="mm"
        path="/floor_mm"
        @update:model-value="set({ floor_mm: $event ?? 0 })" />
    </div>
    <p class="group-label">{{ t('surface.viewers') }}</p>
    <div class="field-row">
      <NumberField
        :model-value="surface.viewing_mm[0] / 1000"
        :label="t('surface.nearest')"
        unit="m"
        path="/viewing_mm/0"
        :parts="1000"
        @update:model-value="viewing(0, $event)" />
      <NumberField
        :model-value="surface.viewing_mm[1] / 1000"
        :label="t('surface.farthest')"
        unit="m"
        path="/viewing_mm/1"
        :parts="1000"
        @update:model-value="viewing(1, $event)" />
    </div>
    <p class="group-label">{{ t('field.safe_px') }}</p>
    <div class="field-row">
      <NumberField
        v-for="(side, index) in sides"
        :key="side"
        :model-value="surface.safe_px[index]!"
        :label="t(`shape.${side}`)"
        unit="px"
        :path="index === 0 ? '/safe_px' : `/safe_px/${index}`"
        @update:model-value="safe(index, $event)" />
    </div>
    <BFormCheckbox :model-value="surface.sound" @update:model-value="set({ sound: !surface.sound })">{{ t('field.sound') }}</BFormCheckbox>
    <BFormCheckbox :model-value="surface.touch" @update:model-value="set({ touch: !surface.touch })">{{ t('field.touch') }}</BFormCheckbox>
  </fieldset>
</template>
