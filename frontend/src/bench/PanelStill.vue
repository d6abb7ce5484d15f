<script setup lang="ts">
import { computed, onMounted, useTemplateRef, watch } from 'vue'
import { loadFace } from '../plan/faces'
import { Stage } from '../plan/stage'
import type { Plan } from '../plan/types'

/** The part of a plan that one panel shows, upright or turned as its signal carries it, fitted into a box. */
const props = defineProps<{ plan: Plan; panel: Plan['panels'][number]; signal: boolean; width: number; height: number; tMs: number }>()
const root = useTemplateRef<HTMLElement>('root')
const turn = computed(() => (props.signal ? props.panel.turn : 0))
const size = computed(() => (turn.value % 180 === 0 ? [props.panel.rect[2], props.panel.rect[3]] : [props.panel.rect[3], props.panel.rect[2]]) as [number, number])
const scale = computed(() => Math.min(props.width / size.value[0], props.height / size.value[1]))
/** The panel's middle comes to the box's middle; what is turned is turned about it. */
const transform = computed(() => {
  const [x, y, width, height] = props.panel.rect
  return `translate(${(size.value[0] * scale.value) / 2}px, ${(size.value[1] * scale.value) / 2}px) scale(${scale.value}) rotate(${turn.value}deg) translate(${-x - width / 2}px, ${-y - height / 2}px)`
})
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
  <div class="plan-still" :style="{ width: `${size[0] * scale}px`, height: `${size[1] * scale}px` }" aria-hidden="true"><div ref="root" class="bench-stage" :style="{ transform }" /></div>
</template>
