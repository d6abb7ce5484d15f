<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import type { DatedPlan } from '../plan/types'
import SeamLines from './SeamLines.vue'
import { usePlanStage } from './usePlanStage'

/** A plan drawn small at an instant, in true ratio, with its seams; it fits the box it is given. */
const props = withDefaults(defineProps<{ plan: DatedPlan; width: number; height: number; tMs?: number }>(), { tMs: 0 })
const root = useTemplateRef<HTMLElement>('root')
const scale = computed(() => Math.min(props.width / props.plan.canvas[0], props.height / props.plan.canvas[1]))
usePlanStage(
  root,
  () => props.plan,
  () => props.tMs,
)
</script>

<template>
  <div class="plan-still" :style="{ width: `${plan.canvas[0] * scale}px`, height: `${plan.canvas[1] * scale}px` }" aria-hidden="true">
    <div ref="root" class="bench-stage" :style="{ transform: `scale(${scale})` }" />
    <SeamLines :canvas="plan.canvas" :seams="plan.seams" :scale="scale" />
  </div>
</template>
