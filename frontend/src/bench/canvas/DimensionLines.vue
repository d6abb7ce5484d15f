<script setup lang="ts">
import { computed } from 'vue'
import type { ZonePlan } from '../../plan/types'
import { useDesign } from '../store/design'
import { useDrawing } from './drawing'
import { boxOf } from './floatGeometry'
import type { Drag } from './useMullionDrag'

/**
 * Dimension lines in px or mm, as it is now or as it is dragged. Along the top and left edge the panes that stand at that
 * edge; where lines begin farther in, along the bottom and right edge every line there is. With one float chosen: where
 * that lies.
 */
const props = defineProps<{ scale: number; drag: Drag | null }>()
const design = useDesign()
const drawing = useDrawing()
const LEAST_SCREEN_PX = 26

interface Stretch {
  from: number
  to: number
}
function along(axis: 'x' | 'y'): Stretch[][] {
  const side = axis === 'x' ? 0 : 1
  const whole = design.answer?.canvas[side] ?? 0
  const float = design.zone?.float && !design.zone.hidden && design.chosen.length === 1 ? boxOf(design.zone.rect, design.zone.turn) : null
  if (float) return [between([0, Math.round(float[side]), Math.round(float[side] + float[side + 2]!), whole])]
  const panes = design.plans.filter((plan) => !plan.float)
  const touching = stops(
    axis,
    whole,
    panes.filter((plan) => plan.rect[1 - side] === 0),
  )
  const every = stops(axis, whole, panes)
  return every.size > touching.size ? [between([...touching]), between([...every])] : [between([...touching])]
}
function stops(axis: 'x' | 'y', whole: number, panes: ZonePlan[]): Set<number> {
  const side = axis === 'x' ? 0 : 1
  const drag = props.drag?.mullion.axis === axis ? props.drag : null
  const edge = (at: number): number => (drag && at === drag.mullion.at ? drag.at : at)
  return new Set([0, whole, ...panes.flatMap(({ rect }) => [edge(rect[side]), edge(rect[side] + rect[side + 2]!)])])
}
function between(found: number[]): Stretch[] {
  const sorted = [...new Set(found)].sort((a, b) => a - b)
  return sorted.slice(1).map((to, index) => ({ from: sorted[index] ?? 0, to }))
}
/** As it is said: the px, or the mm they are on the surface. */
function said(axis: 'x' | 'y', px: number): string {
  const side = axis === 'x' ? 0 : 1
  const [um, of] = [design.answer?.um?.[side], design.answer?.canvas[side]]
  return drawing.mm && um && of ? `${((px * um) / of / 1000).toFixed(1)} mm` : String(px)
}
/** Each chain with where its line runs, in screen px across it: outside the top or left edge, and outside the one across. */
const chains = computed(() =>
  (['x', 'y'] as const).flatMap((axis) => {
    const far = (design.answer?.canvas[axis === 'x' ? 1 : 0] ?? 0) * props.scale
    return along(axis).map((stretches, index) => ({
      axis,
      stretches,
      line: index === 0 ? -13 : far + 13,
      words: index === 0 ? -20 : far + 28,
    }))
  }),
)
const path = (axis: 'x' | 'y', at: number, from: number, to: number): string =>
  axis === 'x'
    ? `M${from} ${at - 5} v10 M${from} ${at} H${to} M${to} ${at - 5} v10`
    : `M${at - 5} ${from} h10 M${at} ${from} V${to} M${at - 5} ${to} h10`
</script>

<template>
  <svg class="dimensions" aria-hidden="true">
    <g v-for="chain in chains" :key="`${chain.axis}${chain.line}`">
      <g v-for="part in chain.stretches" :key="part.from">
        <path :d="path(chain.axis, chain.line, part.from * scale, part.to * scale)" />
        <text
          v-if="(part.to - part.from) * scale > LEAST_SCREEN_PX"
          :transform="
            chain.axis === 'x'
              ? `translate(${((part.from + part.to) / 2) * scale} ${chain.words})`
              : `translate(${chain.words} ${((part.from + part.to) / 2) * scale}) rotate(-90)`
          "
          text-anchor="middle">
          {{ said(chain.axis, part.to - part.from) }}
        </text>
      </g>
    </g>
  </svg>
</template>
