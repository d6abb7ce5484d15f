<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Rect } from '../plan/types'

/** Seams hatched at their true width, butted ones as a dashed joint; each panel's letter in its lower right corner. */
defineProps<{ canvas: [number, number]; seams: Rect[]; panels: Record<string, Rect>; scale: number }>()
const { t } = useI18n()
/** Narrower panels are named in the particulars' map only. */
const LEAST_SCREEN_PX = 160
</script>

<template>
  <svg class="seams" :viewBox="`0 0 ${canvas[0]} ${canvas[1]}`" aria-hidden="true">
    <defs><pattern id="bench-hatch" width="6" height="6" patternUnits="userSpaceOnUse" :patternTransform="`scale(${1 / scale}) rotate(45)`"><rect width="6" height="6" fill="#e9e4d8" /><path d="M0 0v6" stroke="#1d2a33" stroke-width="3" /></pattern></defs>
    <template v-for="(seam, index) in seams" :key="index">
      <rect v-if="seam[2] > 0 && seam[3] > 0" :x="seam[0]" :y="seam[1]" :width="seam[2]" :height="seam[3]" class="hatched" />
      <path v-else :d="`M${seam[0]} ${seam[1]}l${seam[2]} ${seam[3]}`" class="joint" />
    </template>
  </svg>
  <template v-if="Object.keys(panels).length > 1">
    <span v-for="(rect, letter) in panels" v-show="rect[2] * scale >= LEAST_SCREEN_PX" :key="letter" class="panel-name" :style="{ left: `${(rect[0] + rect[2]) * scale}px`, top: `${(rect[1] + rect[3]) * scale}px` }" aria-hidden="true">{{ t('wall.panel', { letter: String(letter) }) }}</span>
  </template>
</template>
