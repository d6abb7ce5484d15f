<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { SurfaceLine } from '../api/types'
import { metres } from '../ui/format'
import SurfaceStill from './SurfaceStill.vue'
import { useArrange } from './useArrange'
import { useElevationView } from './useElevationView'

const props = defineProps<{ surfaces: SurfaceLine[]; chosen: string | null; arranging: boolean }>()
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
const { drag, start, nudge } = useArrange(() => view.value.scale, () => props.arranging, pan, (one, left, floor) => emit('place', one, left, floor))

const at = (one: SurfaceLine): { left: number; floor: number } => (drag.value?.code === one.code ? drag.value : { left: one.left_mm, floor: one.floor_mm })
/** Positions are on the wall; the wall as a whole is moved, so that panning paints nothing anew. */
const box = (one: SurfaceLine): Record<string, string> => ({
  left: `${at(one).left * view.value.scale}px`,
  top: `${-(at(one).floor + one.face_um[1] / 1000) * view.value.scale}px`,
  width: `${(one.face_um[0] / 1000) * view.value.scale}px`,
  height: `${(one.face_um[1] / 1000) * view.value.scale}px`,
})
const under = (one: SurfaceLine): Record<string, string> => ({ left: box(one)['left']!, top: `${-at(one).floor * view.value.scale + 4}px` })
const facts = (one: SurfaceLine): string => [`${one.canvas[0]} × ${one.canvas[1]}`, one.kind === 'LED' ? `${one.pitch_mm[0]} mm` : '', one.panels[0]?.rotation ? `${one.panels[0].rotation}°` : ''].filter(Boolean).join(' · ')
const name = (one: SurfaceLine): string => t('elevation.face', { name: one.name, width: String(one.canvas[0]), height: String(one.canvas[1]), orientation: t(`elevation.${one.orientation}`), left: metres(one.left_mm), floor: metres(one.floor_mm) })
const lines = computed(() => Array.from({ length: Math.floor(extent.value.top / 1000) }, (_, metre) => metre + 1))

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
  <div ref="root" class="elevation-drawing" :class="{ arranging }" role="application" :aria-label="t('elevation.wall')" tabindex="0" @wheel.prevent="wheel" @pointerdown="start($event, null)" @keydown="keys">
    <div v-if="ready" class="elevation-wall" :style="{ transform: `translate3d(${view.x}px, ${view.floor}px, 0)` }">
      <div v-for="one in surfaces" :key="one.code" class="surface" :class="{ chosen: one.code === chosen, moving: drag?.code === one.code }" :style="box(one)">
        <SurfaceStill :surface="one" :width="(one.face_um[0] / 1000) * view.scale" :height="(one.face_um[1] / 1000) * view.scale" :moving="one.code === chosen" />
        <button type="button" class="surface-face" :data-surface="one.code" :aria-label="name(one)" :aria-pressed="one.code === chosen" @click="emit('choose', one.code)" @pointerdown.stop="start($event, one)" />
      </div>
      <p v-for="one in surfaces" :key="`${one.code}-name`" class="surface-name" :style="under(one)" aria-hidden="true">{{ one.name }}<br /><span class="measure">{{ facts(one) }}</span></p>
      <svg class="floor" width="1" height="1" aria-hidden="true">
        <line :x1="-20000" :x2="20000" y1="0" y2="0" class="ground" />
        <g v-for="metre in lines" :key="metre"><line :x1="(personMm - 280) * view.scale" :x2="(personMm - 280) * view.scale + 6" :y1="-metre * 1000 * view.scale" :y2="-metre * 1000 * view.scale" class="rule" /><text :x="(personMm - 280) * view.scale - 4" :y="-metre * 1000 * view.scale + 3" text-anchor="end">{{ metre }} m</text></g>
        <g :transform="`translate(${personMm * view.scale} 0) scale(${view.scale})`" class="person"><circle cx="0" cy="-1590" r="110" /><path d="M-190 -1430 h380 l-40 700 h-60 l-20 730 h-140 l-20 -730 h-60 z" /></g>
        <g v-if="drag" class="drag-lines"><line :x1="drag.left * view.scale" :x2="drag.left * view.scale" y1="0" :y2="-drag.floor * view.scale" /><text :x="drag.left * view.scale + 5" :y="-drag.floor * view.scale / 2">{{ drag.floor }} mm</text><text :x="drag.left * view.scale + 5" y="14">{{ drag.left }} mm</text></g>
      </svg>
    </div>
    <div v-if="ready" class="zoom-bar" @pointerdown.stop>
      <span class="measure" aria-hidden="true">1 : {{ Math.round(1 / (view.scale * 0.2646)) }}</span>
      <button type="button" class="btn btn-sm btn-outline-dark" :aria-label="t('elevation.zoom-out')" @click="zoom(0.8)">−</button>
      <button type="button" class="btn btn-sm btn-outline-dark" :aria-label="t('elevation.zoom-in')" @click="zoom(1.25)">+</button>
      <button type="button" class="btn btn-sm btn-outline-dark" :disabled="isFitted" @click="fit">{{ t('elevation.fit') }}</button>
    </div>
    <p v-if="!surfaces.length" class="empty-state" :style="{ width: `${width}px`, top: `${height / 3}px` }">{{ t('elevation.empty') }}</p>
  </div>
</template>
