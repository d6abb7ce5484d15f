<script setup lang="ts">
import { BFormInput, BFormSelect } from 'bootstrap-vue-next'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { NamedArea, SurfaceWhole } from '../api/surfaces'
import { newToken } from '../plan/token'
import type { Rect } from '../plan/types'
import NumberField from './NumberField.vue'
import { useSurfaces } from './surfaces'

/** Named areas: rectangles of the surface that designs may be made for, in px or %. */
const props = defineProps<{ surface: SurfaceWhole }>()
const { t } = useI18n()
const surfaces = useSurfaces()
const name = ref('')
const corners = ['x', 'y', 'width', 'height'] as const

const put = (areas: NamedArea[]): Promise<boolean> => surfaces.change(props.surface.code, { areas })
const set = (index: number, change: Partial<NamedArea>): void =>
  void put(props.surface.areas.map((area, at) => (at === index ? { ...area, ...change } : area)))
function side(index: number, at: number, value: number | null): void {
  const rect = [...(props.surface.areas[index]?.rect ?? [0, 0, 0, 0])] as Rect
  rect[at] = value ?? 0
  set(index, { rect })
}
async function add(): Promise<void> {
  if (
    await put([...props.surface.areas, { id: `a-${newToken().slice(0, 12)}`, name: name.value.trim(), unit: '%', rect: [0, 0, 100, 100] }])
  )
    name.value = ''
}
const px = (area: NamedArea): string => (props.surface.area_rects[area.id] ?? []).join(', ')
</script>

<template>
  <svg class="area-drawing" :viewBox="`0 0 ${surface.canvas[0]} ${surface.canvas[1]}`" role="img" :aria-label="t('field.areas')">
    <rect :width="surface.canvas[0]" :height="surface.canvas[1]" class="whole" />
    <rect v-for="(seam, index) in surface.seams" :key="index" :x="seam[0]" :y="seam[1]" :width="seam[2]" :height="seam[3]" class="seam" />
    <rect v-for="(rect, area) in surface.area_rects" :key="area" :x="rect[0]" :y="rect[1]" :width="rect[2]" :height="rect[3]" class="area">
      <title>{{ surface.areas.find((one) => one.id === area)?.name }}</title>
    </rect>
  </svg>
  <p v-if="!surface.areas.length" class="hint">{{ t('surface.no-areas') }}</p>
  <fieldset :disabled="!surfaces.mayMount">
    <section v-for="(area, index) in surface.areas" :key="area.id" class="area-entry">
      <div class="field-row">
        <label>
          {{ t('field.name') }}
          <BFormInput
            size="sm"
            :model-value="area.name"
            maxlength="60"
            @change="set(index, { name: ($event.target as HTMLInputElement).value })" />
        </label>
        <label>
          {{ t('surface.unit') }}
          <BFormSelect
            size="sm"
            :model-value="area.unit"
            @change="
              set(index, {
                unit: ($event.target as HTMLSelectElement).value as NamedArea['unit'],
                rect: [0, 0, ...(($event.target as HTMLSelectElement).value === '%' ? [100, 100] : surface.canvas)] as Rect,
              })
            ">
            <option>px</option>
            <option>%</option>
          </BFormSelect>
        </label>
      </div>
      <div class="field-row">
        <NumberField
          v-for="(corner, at) in corners"
          :key="corner"
          :model-value="area.rect[at]!"
          :label="t(`shape.${corner}`)"
          :unit="area.unit"
          :path="at === 0 ? `/areas/${index}/rect` : `/areas/${index}/rect/${at}`"
          @update:model-value="side(index, at, $event)" />
      </div>
      <p class="measure hint">
        {{ px(area) }} px
        <button type="button" class="plain" @click="put(surface.areas.filter((_, at) => at !== index))">
          {{ t('surface.remove-area', { name: area.name }) }}
        </button>
      </p>
    </section>
    <form class="field-row" @submit.prevent="add">
      <label>
        {{ t('surface.new-area') }}
        <BFormInput size="sm" v-model="name" required maxlength="60" />
      </label>
      <button type="submit" class="btn btn-sm btn-outline-dark fixed">{{ t('surface.add-area') }}</button>
    </form>
  </fieldset>
</template>
