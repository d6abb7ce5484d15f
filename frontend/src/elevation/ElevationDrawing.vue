<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { SurfaceLine } from '../api/types'
import SurfaceStill from './SurfaceStill.vue'

const props = defineProps<{ surfaces: SurfaceLine[]; chosen: string | null }>()
const emit = defineEmits<{ choose: [code: string] }>()
const { t } = useI18n()
const root = ref<HTMLElement>()
const { width, height } = useElementSize(root)

const MARGIN_MM = 500
const span = computed(() => Math.max(...props.surfaces.map((one) => one.left_mm + one.width_um / 1000), 1) + MARGIN_MM)
const top = computed(() => Math.max(...props.surfaces.map((one) => one.floor_mm + one.height_um / 1000), 1700) + MARGIN_MM)
/** Screen px per mm. */
const scale = computed(() => Math.max(0.01, Math.min((width.value - 40) / span.value, (height.value - 60) / top.value)))
const floorY = computed(() => height.value - Math.max(60, (height.value - top.value * scale.value) / 3))

const box = (one: SurfaceLine): Record<string, string> => ({
  left: `${20 + one.left_mm * scale.value}px`,
  top: `${floorY.value - (one.floor_mm + one.height_um / 1000) * scale.value}px`,
  width: `${(one.width_um / 1000) * scale.value}px`,
  height: `${(one.height_um / 1000) * scale.value}px`,
})
</script>

<template>
  <div ref="root" class="elevation-drawing">
    <template v-if="width > 0">
      <div v-for="one in surfaces" :key="one.code" class="surface" :class="{ chosen: one.code === chosen }" :style="box(one)">
        <SurfaceStill :surface="one" :width="(one.width_um / 1000) * scale" />
        <button type="button" class="surface-face" :data-surface="one.code" :aria-label="`${one.name}, ${one.canvas[0]} × ${one.canvas[1]} px, ${t(`elevation.${one.orientation}`)}`" :aria-pressed="one.code === chosen" @click="emit('choose', one.code)" />
      </div>
      <p v-for="one in surfaces" :key="`${one.code}-name`" class="surface-name" :style="{ left: box(one).left, top: `calc(${box(one).top} + ${box(one).height} + 4px)` }" aria-hidden="true">
        {{ one.name }}<br /><span class="measure">{{ one.canvas[0] }} × {{ one.canvas[1] }}</span>
      </p>
      <svg class="floor" :width="width" :height="height" aria-hidden="true">
        <line x1="0" :x2="width" :y1="floorY" :y2="floorY" class="ground" />
        <g :transform="`translate(${20 + 9200 * scale} ${floorY}) scale(${scale})`" class="person">
          <circle cx="0" cy="-1590" r="110" /><path d="M-190 -1430 h380 l-40 700 h-60 l-20 730 h-140 l-20 -730 h-60 z" />
        </g>
      </svg>
    </template>
  </div>
</template>
