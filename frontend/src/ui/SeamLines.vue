<script setup lang="ts">
import { computed, useId } from 'vue'
import type { Rect } from '../plan/types'

/** Seams over a canvas, hatched at their true width whatever the scale; butted ones as a dashed joint. */
const props = defineProps<{ canvas: [number, number]; seams: Rect[]; scale: number }>()
const id = useId()
const wide = computed(() => props.seams.filter((seam) => seam[2] > 0 && seam[3] > 0))
const joints = computed(() => props.seams.filter((seam) => seam[2] === 0 || seam[3] === 0))
</script>

<template>
  <svg v-if="seams.length" class="seams" :viewBox="`0 0 ${canvas[0]} ${canvas[1]}`" preserveAspectRatio="none" aria-hidden="true">
    <defs>
      <pattern :id="id" width="6" height="6" patternUnits="userSpaceOnUse" :patternTransform="`scale(${1 / scale}) rotate(45)`">
        <path d="M0 0v6" stroke="#1d2a33" stroke-width="3" />
      </pattern>
    </defs>
    <g v-for="(seam, index) in wide" :key="index">
      <rect :x="seam[0]" :y="seam[1]" :width="seam[2]" :height="seam[3]" />
      <rect :x="seam[0]" :y="seam[1]" :width="seam[2]" :height="seam[3]" :style="{ fill: `url(#${id})` }" />
    </g>
    <path v-for="(seam, index) in joints" :key="`joint ${index}`" :d="`M${seam[0]} ${seam[1]}l${seam[2]} ${seam[3]}`" class="joint" />
  </svg>
</template>
