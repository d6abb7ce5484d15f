<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Output, ResolvedPanel, Slice } from '../api/surfaces'

/** One output's signal: its raster to scale and the slices that fill it. */
const props = defineProps<{ output: Output; panels: ResolvedPanel[]; lit: string | null; chosen: number | null }>()
const emit = defineEmits<{ hover: [panel: string | null]; pick: [slice: number] }>()
const { t } = useI18n()
const letter = (slice: Slice): string => props.panels.find((panel) => panel.id === slice.panel)?.letter ?? '?'
const size = (slice: Slice): number => Math.min(slice.raster[2], slice.raster[3]) * 0.42
/** Which way is up on the wall, in the signal. */
const up = (slice: Slice): string =>
  `rotate(${slice.turn} ${slice.raster[0] + slice.raster[2] / 2} ${slice.raster[1] + slice.raster[3] / 2})`
</script>

<template>
  <svg
    class="raster"
    :viewBox="`0 0 ${output.px[0]} ${output.px[1]}`"
    role="group"
    :aria-label="t('outputs.raster-of', { player: output.player, number: String(output.number) })">
    <rect :width="output.px[0]" :height="output.px[1]" class="uncovered" />
    <g
      v-for="(slice, index) in output.slices"
      :key="index"
      class="slice"
      :class="{ lit: lit === slice.panel, chosen: chosen === index }"
      role="button"
      tabindex="0"
      :aria-pressed="chosen === index"
      :aria-label="t('outputs.slice', { letter: letter(slice), turn: String(slice.turn) })"
      @pointerenter="emit('hover', slice.panel)"
      @pointerleave="emit('hover', null)"
      @focus="emit('hover', slice.panel)"
      @blur="emit('hover', null)"
      @click="emit('pick', index)"
      @keydown.enter.prevent="emit('pick', index)"
      @keydown.space.prevent="emit('pick', index)">
      <rect :x="slice.raster[0]" :y="slice.raster[1]" :width="slice.raster[2]" :height="slice.raster[3]" />
      <g :transform="up(slice)">
        <text
          :x="slice.raster[0] + slice.raster[2] / 2"
          :y="slice.raster[1] + slice.raster[3] / 2"
          :font-size="size(slice)"
          text-anchor="middle"
          dominant-baseline="central"
          :transform="slice.mirror ? `matrix(-1 0 0 1 ${2 * slice.raster[0] + slice.raster[2]} 0)` : ''">
          {{ letter(slice) }}
        </text>
      </g>
    </g>
  </svg>
</template>
