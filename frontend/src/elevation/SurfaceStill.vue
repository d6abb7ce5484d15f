<script setup lang="ts">
import { onMounted, onUnmounted, ref, useTemplateRef, watch } from 'vue'
import { call } from '../api/client'
import type { SurfaceLine } from '../api/surfaces'
import { loadFace } from '../plan/faces'
import { Stage } from '../plan/stage'
import type { Plan, ZonePlan } from '../plan/types'
import SeamLines from '../ui/SeamLines.vue'

/** The surface's latest design: a still in true ratio, moving while the surface is looked at; seams hatched on top. */
const props = defineProps<{ surface: SurfaceLine; width: number; height: number; moving: boolean }>()
const stage = useTemplateRef<HTMLElement>('stage')
const empty = ref(true)
let plan: Plan | null = null
let renderer: Stage | null = null
let frame = 0
let began = 0

async function show(): Promise<void> {
  const design = props.surface.designs[0]
  if (!design || !stage.value) return
  try {
    plan = (await call<{ plan: Plan }>('GET', `/api/designs/${design.id}/plan?surface=${props.surface.code}`)).plan
    await Promise.all(plan.fonts.map(loadFace)).catch(() => undefined)
    draw()
    empty.value = false
  } catch {
    empty.value = true
  }
}

function still(zone: ZonePlan, moving: boolean): ZonePlan {
  return { ...zone, items: zone.items.map((item) => (item.kind === 'video' ? (moving ? { ...item, sound: false } : { ...item, kind: 'picture' as const }) : item)) }
}
/** Stills show a video's thumbnail; what moves shows the film itself, silently. */
function draw(): void {
  if (!plan || !stage.value) return
  cancelAnimationFrame(frame)
  stage.value.replaceChildren()
  const moving = props.moving
  renderer = new Stage(stage.value, (sha256) => `/media/${sha256}/${moving ? 'original' : 'thumbnail'}`)
  renderer.show({ ...plan, scenes: Object.fromEntries(Object.entries(plan.scenes).map(([id, scene]) => [id, { ...scene, zones: scene.zones.map((zone) => still(zone, moving)) }])) })
  began = performance.now()
  renderer.at(0, plan.from_ms, moving)
  if (moving) frame = requestAnimationFrame(step)
}
function step(now: number): void {
  if (!plan || !renderer) return
  renderer.at(now - began, plan.from_ms + now - began, true)
  frame = requestAnimationFrame(step)
}
watch(() => props.moving, draw)
watch(() => [props.surface.designs[0]?.id, props.surface.designs[0]?.revision, JSON.stringify(props.surface.shape)], () => void show())
onMounted(show)
onUnmounted(() => cancelAnimationFrame(frame))
const TOP: Record<number, string> = { 90: 'right', 180: 'bottom', 270: 'left' }
</script>

<template>
  <span class="still" :class="{ empty }" aria-hidden="true">
    <span ref="stage" class="still-stage" :style="{ transform: `scale(${width / surface.canvas[0]}, ${height / surface.canvas[1]})` }" />
    <SeamLines :canvas="surface.canvas" :seams="surface.seams" :scale="width / surface.canvas[0]" />
    <span v-if="surface.panels.length === 1 && surface.panels[0]?.rotation" class="own-top" :class="TOP[surface.panels[0].rotation]" />
  </span>
</template>
