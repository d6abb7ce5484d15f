<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import type { DatedPlan } from '../../plan/types'
import { usePlanStage } from '../../ui/usePlanStage'

/** The part of a plan that one panel shows, upright or turned as its signal carries it, fitted into a box. */
const props = defineProps<{
  plan: DatedPlan
  panel: DatedPlan['panels'][number]
  signal: boolean
  width: number
  height: number
  tMs: number
}>()
const root = useTemplateRef<HTMLElement>('root')
const turn = computed(() => (props.signal ? props.panel.turn : 0))
const size = computed(
  () =>
    (turn.value % 180 === 0 ? [props.panel.rect[2], props.panel.rect[3]] : [props.panel.rect[3], props.panel.rect[2]]) as [number, number],
)
const scale = computed(() => Math.min(props.width / size.value[0], props.height / size.value[1]))
/** The panel's middle comes to the box's middle; what is turned is turned about it. */
const transform = computed(() => {
  const [x, y, width, height] = props.panel.rect
  const middle = `${(size.value[0] * scale.value) / 2}px, ${(size.value[1] * scale.value) / 2}px`
  return `translate(${middle}) scale(${scale.value}) rotate(${turn.value}deg) translate(${-x - width / 2}px, ${-y - height / 2}px)`
})
usePlanStage(
  root,
  () => props.plan,
  () => props.tMs,
)
</script>

<template>
  <div class="plan-still" :style="{ width: `${size[0] * scale}px`, height: `${size[1] * scale}px` }" aria-hidden="true">
    <div ref="root" class="bench-stage" :style="{ transform }" />
  </div>
</template>
