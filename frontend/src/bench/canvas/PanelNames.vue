<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Rect } from '../../plan/types'

/** Each panel's letter in its lower right corner, and the safe area dashed. */
defineProps<{ canvas: [number, number]; panels: Record<string, Rect>; safe: Rect | null; scale: number }>()
const { t } = useI18n()
/** Narrower panels are named in the particulars' map only. */
const LEAST_SCREEN_PX = 160
</script>

<template>
  <span
    v-if="safe"
    class="safe-area"
    :style="{ left: `${safe[0] * scale}px`, top: `${safe[1] * scale}px`, width: `${safe[2] * scale}px`, height: `${safe[3] * scale}px` }"
    aria-hidden="true" />
  <template v-if="Object.keys(panels).length > 1">
    <span
      v-for="(rect, letter) in panels"
      v-show="rect[2] * scale >= LEAST_SCREEN_PX"
      :key="letter"
      class="panel-name"
      :style="{ left: `${(rect[0] + rect[2]) * scale}px`, top: `${(rect[1] + rect[3]) * scale}px` }"
      aria-hidden="true">
      {{ t('wall.panel', { letter: String(letter) }) }}
    </span>
  </template>
</template>
