<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Rect } from '../../plan/types'
import { useDesign } from '../store/design'
import { useFloats, type Edge } from '../store/useFloats'

/** What is done with chosen floats together, or with one and the canvas. */
const { t } = useI18n()
const design = useDesign()
const floats = useFloats()
const zones = computed(() => design.chosen.filter(floats.isFloat))
const many = computed(() => zones.value.length > 1)
const edges: Edge[] = ['left', 'centre', 'right', 'top', 'middle', 'bottom']
/** To what is aligned: each other, or a rectangle that the core gave. */
const frames = computed<Record<string, Rect | null>>(() => {
  const [width, height] = design.answer?.canvas ?? [1, 1]
  const panels = design.answer?.panels ?? {}
  return {
    ...(many.value ? { each: null } : {}),
    canvas: [0, 0, width, height],
    ...(design.answer?.safe ? { safe: design.answer.safe } : {}),
    ...(Object.keys(panels).length > 1 ? Object.fromEntries(Object.entries(panels).map(([name, rect]) => [`panel:${name}`, rect])) : {}),
  }
})
const wanted = ref('each')
const frame = computed(() => (wanted.value in frames.value ? wanted.value : (Object.keys(frames.value)[0] ?? 'canvas')))
const options = computed(() =>
  Object.keys(frames.value).map((value) => ({
    value,
    text: value.startsWith('panel:') ? t('float.panel', { panel: value.slice(6) }) : t(`arrange.${value}`),
  })),
)
const align = (edge: Edge): void => void floats.align(zones.value, edge, frames.value[frame.value] ?? null)
const like = computed(() => zones.value.at(-1) ?? '')
/** The group that all of them are of. */
const group = computed(() => {
  const groups = new Set(zones.value.map((zone) => design.bench.floats[zone]?.group ?? null))
  return groups.size === 1 ? [...groups][0]! : null
})
</script>

<template>
  <section class="arrange" :aria-label="t('arrange.title')">
    <label>
      {{ t('arrange.to') }}
      <BFormSelect size="sm" :model-value="frame" :options="options" @change="wanted = ($event.target as HTMLSelectElement).value" />
    </label>
    <div class="button-row">
      <button v-for="edge in edges" :key="edge" type="button" class="btn btn-sm btn-outline-dark" @click="align(edge)">
        {{ t(`arrange.${edge}`) }}
      </button>
    </div>
    <div v-if="many" class="button-row">
      <template v-if="zones.length > 2">
        <button type="button" class="btn btn-sm btn-outline-dark" @click="floats.spread(zones, 'x')">{{ t('arrange.spread-x') }}</button>
        <button type="button" class="btn btn-sm btn-outline-dark" @click="floats.spread(zones, 'y')">{{ t('arrange.spread-y') }}</button>
      </template>
      <button type="button" class="btn btn-sm btn-outline-dark" @click="floats.match(zones, like, 'both')">
        {{ t('arrange.match', { letter: design.zones[like]?.letter ?? '' }) }}
      </button>
      <button
        v-if="group === null"
        type="button"
        class="btn btn-sm btn-outline-dark"
        @click="floats.traits(zones, { group: design.fresh('p') })">
        {{ t('arrange.group') }}
      </button>
    </div>
    <button
      v-if="group !== null"
      type="button"
      class="btn btn-sm btn-outline-dark"
      @click="floats.traits(floats.family(like), { group: null })">
      {{ t('arrange.ungroup') }}
    </button>
  </section>
</template>
