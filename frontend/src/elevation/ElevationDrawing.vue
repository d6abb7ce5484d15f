<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { SurfaceLine } from '../api/surfaces'
import ElevationWall from './ElevationWall.vue'
import { useArrange } from './useArrange'
import { useElevationView } from './useElevationView'

const props = defineProps<{ surfaces: SurfaceLine[]; chosen: string | null; arranging: boolean; nowMs: number }>()
const emit = defineEmits<{ choose: [code: string]; place: [one: SurfaceLine, leftMm: number, floorMm: number] }>()
const { t } = useI18n()
const root = ref<HTMLElement>()
const MARGIN_MM = 500
const PERSON_MM = 1700
/** Where the person stands: left of everything, so that nothing is hidden. */
const personMm = computed(() => Math.min(0, ...props.surfaces.map((one) => one.left_mm)) - 600)
const extent = computed(() => ({
  left: personMm.value - 300,
  right: Math.max(1000, ...props.surfaces.map((one) => one.left_mm + one.face_um[0] / 1000)) + MARGIN_MM,
  top: Math.max(PERSON_MM, ...props.surfaces.map((one) => one.floor_mm + one.face_um[1] / 1000)) + MARGIN_MM,
}))
const { view, zoom, pan, fit, isFitted, ready, width, height } = useElevationView(root, () => extent.value)
const { drag, start, nudge } = useArrange(
  () => view.value.scale,
  () => props.arranging,
  pan,
  (one, left, floor) => emit('place', one, left, floor),
)

function wheel(event: WheelEvent): void {
  const bounds = root.value?.getBoundingClientRect()
  if (event.shiftKey) pan(-event.deltaY - event.deltaX, 0)
  else zoom(Math.exp(-event.deltaY / 500), event.clientX - (bounds?.left ?? 0), event.clientY - (bounds?.top ?? 0))
}
function keys(event: KeyboardEvent): void {
  const one = props.surfaces.find((surface) => surface.code === (event.target as HTMLElement).dataset['surface'])
  const pans: Record<string, [number, number]> = { ArrowLeft: [60, 0], ArrowRight: [-60, 0], ArrowUp: [0, 60], ArrowDown: [0, -60] }
  const by = pans[event.key]
  if (one && nudge(one, event)) event.preventDefault()
  else if (by) {
    event.preventDefault()
    pan(...by)
  } else if (event.key === '+' || event.key === '=') zoom(1.25)
  else if (event.key === '-') zoom(0.8)
  else if (event.key === '0') fit()
}
</script>

<template>
  <div
    ref="root"
    class="elevation-drawing"
    :class="{ arranging }"
    role="application"
    :aria-label="t('elevation.wall')"
    tabindex="0"
    @wheel.prevent="wheel"
    @pointerdown="start($event, null)"
    @keydown="keys">
    <div v-if="ready" class="elevation-wall" :style="{ transform: `translate(${view.x}px, ${view.floor}px)` }">
      <ElevationWall
        :surfaces="surfaces"
        :chosen="chosen"
        :scale="view.scale"
        :drag="drag"
        :person-mm="personMm"
        :top-mm="extent.top"
        :right-mm="extent.right"
        :now-ms="nowMs"
        @choose="emit('choose', $event)"
        @press="(event, one) => start(event, one)" />
    </div>
    <div v-if="ready" class="zoom-bar" @pointerdown.stop>
      <span class="measure" aria-hidden="true">1 : {{ Math.round(1 / (view.scale * 0.2646)) }}</span>
      <button type="button" class="btn btn-sm btn-outline-dark" :aria-label="t('elevation.zoom-out')" @click="zoom(0.8)">−</button>
      <button type="button" class="btn btn-sm btn-outline-dark" :aria-label="t('elevation.zoom-in')" @click="zoom(1.25)">+</button>
      <button type="button" class="btn btn-sm btn-outline-dark" :aria-disabled="isFitted" @click="fit">{{ t('elevation.fit') }}</button>
    </div>
    <p v-if="!surfaces.length" class="empty-state" :style="{ width: `${width}px`, top: `${height / 3}px` }">{{ t('elevation.empty') }}</p>
  </div>
</template>
