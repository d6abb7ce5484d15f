<script setup lang="ts">
import { onMounted, onUnmounted, ref, useTemplateRef, watch } from 'vue'
import { call } from '../api/client'
import type { SurfaceLine } from '../api/surfaces'
import { loadFace } from '../plan/faces'
import { Stage } from '../plan/stage'
import type { DatedPlan, Item, ZonePlan } from '../plan/types'
import { asPlan, type PlanOne } from '../plan/older'
import SeamLines from '../ui/SeamLines.vue'

/**
 * What the surface should show now by what it was handed: a still in true ratio, moving while the surface is looked at; seams hatched
 * on top, a corner folded over where a newer draft exists. Never a draft by itself.
 */
const props = defineProps<{ surface: SurfaceLine; width: number; height: number; moving: boolean; nowMs: number }>()
const stage = useTemplateRef<HTMLElement>('stage')
const empty = ref(true)
let plan: DatedPlan | null = null
let renderer: Stage | null = null
let frame = 0
let began = 0

async function show(): Promise<void> {
  const handed = props.surface.handed
  if (!handed || !stage.value) return
  try {
    const at = `/api/releases/${handed.release}/plan?surface=${props.surface.code}`
    const { plan: sealed } = await call<{ plan: DatedPlan | (PlanOne & Pick<DatedPlan, 'dates'>) }>('GET', at)
    plan = { ...asPlan(sealed), dates: sealed.dates }
    await Promise.all(plan.fonts.map((face) => loadFace(face))).catch(() => undefined)
    draw()
    empty.value = false
  } catch {
    empty.value = true
  }
}

/** A film is its thumbnail; pages and streams are what stands in for them: forty stills would load as many. */
function stillItem(item: Item): Item {
  if (item.kind === 'video') return { ...item, kind: 'picture' }
  if (item.kind === 'web') return { ...item, address: '' }
  if (item.kind === 'live' && item.source.as !== 'stand-in') return { ...item, source: { as: 'stream', address: '' } }
  return item
}
const movingItem = (item: Item): Item => ('sound' in item ? { ...item, sound: false } : item)
const shown = (zone: ZonePlan, moving: boolean): ZonePlan => ({ ...zone, items: zone.items.map(moving ? movingItem : stillItem) })
/** Stills show a video's thumbnail; what moves shows the film itself, silently. */
function draw(): void {
  if (!plan || !stage.value) return
  cancelAnimationFrame(frame)
  stage.value.replaceChildren()
  const moving = props.moving
  renderer = new Stage(stage.value, (sha256) => `/media/${sha256}/${moving ? 'original' : 'thumbnail'}`)
  renderer.show({
    ...plan,
    scenes: Object.fromEntries(
      Object.entries(plan.scenes).map(([id, scene]) => [id, { ...scene, zones: scene.zones.map((zone) => shown(zone, moving)) }]),
    ),
  })
  began = performance.now()
  at(began)
  if (moving) frame = requestAnimationFrame(step)
}
/** The round goes on from when it was handed over, as on the player. */
function at(now: number): void {
  const nowMs = props.nowMs + now - began
  renderer?.at(Math.max(0, nowMs - (props.surface.handed?.start_ms ?? nowMs)), nowMs, props.moving)
}
function step(now: number): void {
  at(now)
  frame = requestAnimationFrame(step)
}
watch(() => props.moving, draw)
watch(
  () => props.surface.handed?.release,
  () => void show(),
)
onMounted(show)
onUnmounted(() => cancelAnimationFrame(frame))
const TOP: Record<number, string> = { 90: 'right', 180: 'bottom', 270: 'left' }
</script>

<template>
  <span class="still" :class="{ empty }" aria-hidden="true">
    <span ref="stage" class="still-stage" :style="{ transform: `scale(${width / surface.canvas[0]}, ${height / surface.canvas[1]})` }" />
    <SeamLines :canvas="surface.canvas" :seams="surface.seams" :scale="width / surface.canvas[0]" />
    <span v-if="surface.draft" class="fold" />
    <span v-if="surface.panels.length === 1 && surface.panels[0]?.rotation" class="own-top" :class="TOP[surface.panels[0].rotation]" />
  </span>
</template>
