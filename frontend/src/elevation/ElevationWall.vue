<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { SurfaceLine } from '../api/surfaces'
import { metres } from '../ui/format'
import { placeLabels } from './labels'
import SurfaceStill from './SurfaceStill.vue'
import { MARGIN_PX } from './useElevationView'

/** The wall with everything that hangs on it, the floor and the person. Panning moves it as a whole and draws nothing anew. */
const props = defineProps<{
  surfaces: SurfaceLine[]
  chosen: string | null
  scale: number
  drag: { code: string; left: number; floor: number } | null
  personMm: number
  topMm: number
  rightMm: number
  nowMs: number
}>()
const emit = defineEmits<{ choose: [code: string]; press: [event: PointerEvent, one: SurfaceLine] }>()
const { t } = useI18n()

const at = (one: SurfaceLine): { left: number; floor: number } =>
  props.drag?.code === one.code ? props.drag : { left: one.left_mm, floor: one.floor_mm }
const box = (one: SurfaceLine): Record<string, string> => ({
  left: `${at(one).left * props.scale}px`,
  top: `${-(at(one).floor + one.face_um[1] / 1000) * props.scale}px`,
  width: `${(one.face_um[0] / 1000) * props.scale}px`,
  height: `${(one.face_um[1] / 1000) * props.scale}px`,
})
const facts = (one: SurfaceLine): string =>
  [
    `${one.canvas[0]} × ${one.canvas[1]}`,
    one.kind === 'LED' ? `${one.pitch_mm[0]} mm` : '',
    one.panels[0]?.rotation ? `${one.panels[0].rotation}°` : '',
  ]
    .filter(Boolean)
    .join(' · ')
/** About what a letter of the names is wide; only to keep them apart. */
const LETTER_PX = 6.6
const names = computed(() =>
  placeLabels(
    props.surfaces.map((one) => ({
      x: at(one).left * props.scale,
      y: -(at(one).floor + one.face_um[1] / 1000) * props.scale,
      width: (one.face_um[0] / 1000) * props.scale,
      height: (one.face_um[1] / 1000) * props.scale,
    })),
    props.surfaces.map((one) => Math.max(one.name.length, facts(one).length) * LETTER_PX + 2),
    props.rightMm * props.scale + MARGIN_PX,
  ),
)
/** A name that found no room beside its surface is joined to it by a line of so many px. */
const leader = (one: SurfaceLine, index: number): number => Math.max(0, names.value[index]!.y + at(one).floor * props.scale - 8)
const name = (one: SurfaceLine): string =>
  t('elevation.face', {
    name: one.name,
    width: String(one.canvas[0]),
    height: String(one.canvas[1]),
    orientation: t(`elevation.${one.orientation}`),
    left: metres(one.left_mm),
    floor: metres(one.floor_mm),
  }) + (one.draft ? t('elevation.newer', { name: one.draft.name }) : '')
const lines = computed(() => Array.from({ length: Math.floor(props.topMm / 1000) }, (_, metre) => metre + 1))
</script>

<template>
  <div
    v-for="one in surfaces"
    :key="one.code"
    class="surface"
    :class="{ chosen: one.code === chosen, moving: drag?.code === one.code }"
    :style="box(one)">
    <SurfaceStill
      :surface="one"
      :width="(one.face_um[0] / 1000) * scale"
      :height="(one.face_um[1] / 1000) * scale"
      :moving="one.code === chosen"
      :now-ms="nowMs" />
    <button
      type="button"
      class="surface-face"
      :data-surface="one.code"
      :aria-label="name(one)"
      :aria-pressed="one.code === chosen"
      @click="emit('choose', one.code)"
      @pointerdown.stop="emit('press', $event, one)" />
  </div>
  <svg class="floor" width="1" height="1" aria-hidden="true">
    <line :x1="-20000" :x2="20000" y1="0" y2="0" class="ground" />
    <g v-for="metre in lines" :key="metre">
      <line
        :x1="(personMm - 280) * scale"
        :x2="(personMm - 280) * scale + 6"
        :y1="-metre * 1000 * scale"
        :y2="-metre * 1000 * scale"
        class="rule" />
      <text :x="(personMm - 280) * scale - 4" :y="-metre * 1000 * scale + 3" text-anchor="end">{{ metre }} m</text>
    </g>
    <g :transform="`translate(${personMm * scale} 0) scale(${scale})`" class="person">
      <circle cx="0" cy="-1590" r="110" />
      <path d="M-190 -1430 h380 l-40 700 h-60 l-20 730 h-140 l-20 -730 h-60 z" />
    </g>
    <g v-if="drag" class="drag-lines">
      <line :x1="drag.left * scale" :x2="drag.left * scale" y1="0" :y2="-drag.floor * scale" />
      <text :x="drag.left * scale + 5" :y="(-drag.floor * scale) / 2">{{ drag.floor }} mm</text>
      <text :x="drag.left * scale + 5" y="14">{{ drag.left }} mm</text>
    </g>
  </svg>
  <p
    v-for="(one, index) in surfaces"
    :key="`${one.code}-name`"
    class="surface-name"
    :style="{ left: `${names[index]!.x}px`, top: `${names[index]!.y}px`, '--leader': `${leader(one, index)}px` }"
    aria-hidden="true">
    {{ one.name }}
    <br />
    <span class="measure">{{ facts(one) }}</span>
  </p>
</template>
