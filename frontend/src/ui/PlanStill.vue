<script setup lang="ts">
import { computed, onMounted, useTemplateRef, watch } from 'vue'
import { loadFace } from '../plan/faces'
import { Stage } from '../plan/stage'
import type { Plan } from '../plan/types'

/** A plan drawn small at an instant, in true ratio, with its seams; it fits the box it is given. */
const props = withDefaults(defineProps<{ plan: Plan; width: number; height: number; tMs?: number }>(), { tMs: 0 })
const root = useTemplateRef<HTMLElement>('root')
const scale = computed(() => Math.min(props.width / props.plan.canvas[0], props.height / props.plan.canvas[1]))
let stage: Stage | null = null

const draw = (): void => void stage?.at(props.tMs, props.plan.from_ms + props.tMs, false)
async function show(): Promise<void> {
  await Promise.all(props.plan.fonts.map(loadFace)).catch(() => undefined)
  stage?.show(props.plan.canvas, props.plan.zones)
  draw()
}
onMounted(() => {
  if (root.value) stage = new Stage(root.value, (sha256) => `/media/${sha256}/original`)
  void show()
})
watch(() => props.plan, show)
watch(() => props.tMs, draw)
</script>

<template>
  <div class="plan-still" :style="{ width: `${plan.canvas[0] * scale}px`, height: `${plan.canvas[1] * scale}px` }" aria-hidden="true">
    <div ref="root" class="bench-stage" :style="{ transform: `scale(${scale})` }" />
    <svg class="seams" :viewBox="`0 0 ${plan.canvas[0]} ${plan.canvas[1]}`" preserveAspectRatio="none"><rect v-for="(seam, index) in plan.seams" :key="index" :x="seam[0]" :y="seam[1]" :width="seam[2]" :height="seam[3]" /></svg>
  </div>
</template>
