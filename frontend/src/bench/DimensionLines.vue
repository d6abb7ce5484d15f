<script setup lang="ts">
import { computed } from 'vue'
import { useDesign } from './design'
import type { Drag } from './useMullionDrag'

/** Dimension lines along the top and left edge: every px where a pane begins or ends, as it is now or as it is dragged. */
const props = defineProps<{ scale: number; drag: Drag | null }>()
const design = useDesign()
const LEAST_SCREEN_PX = 26

function ticks(axis: 'x' | 'y'): { from: number; to: number }[] {
  const [width, height] = design.answer?.canvas ?? [0, 0]
  const drag = props.drag?.mullion.axis === axis ? props.drag : null
  const edge = (at: number): number => (drag && at === drag.mullion.at ? drag.at : at)
  const touching = design.plans.filter((plan) => (axis === 'x' ? plan.rect[1] : plan.rect[0]) === 0)
  const stops = new Set([0, axis === 'x' ? width : height])
  for (const { rect } of touching) {
    const [start, length] = axis === 'x' ? [rect[0], rect[2]] : [rect[1], rect[3]]
    stops.add(edge(start)).add(edge(start + length))
  }
  const sorted = [...stops].sort((a, b) => a - b)
  return sorted.slice(1).map((to, index) => ({ from: sorted[index] ?? 0, to }))
}
const across = computed(() => ticks('x'))
const down = computed(() => ticks('y'))
</script>

<template>
  <svg class="dimensions" aria-hidden="true">
    <g v-for="part in across" :key="`x${part.from}`">
      <path :d="`M${part.from * scale} -18 V-8 M${part.from * scale} -13 H${part.to * scale} M${part.to * scale} -18 V-8`" />
      <text v-if="(part.to - part.from) * scale > LEAST_SCREEN_PX" :x="((part.from + part.to) / 2) * scale" y="-20" text-anchor="middle">
        {{ part.to - part.from }}
      </text>
    </g>
    <g v-for="part in down" :key="`y${part.from}`">
      <path :d="`M-18 ${part.from * scale} H-8 M-13 ${part.from * scale} V${part.to * scale} M-18 ${part.to * scale} H-8`" />
      <text
        v-if="(part.to - part.from) * scale > LEAST_SCREEN_PX"
        :transform="`translate(-20 ${((part.from + part.to) / 2) * scale}) rotate(-90)`"
        text-anchor="middle">
        {{ part.to - part.from }}
      </text>
    </g>
  </svg>
</template>
