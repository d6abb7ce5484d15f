<script setup lang="ts">
import { onMounted, ref, useTemplateRef } from 'vue'
import { call } from '../api/client'
import type { SurfaceLine } from '../api/types'
import { loadFace } from '../plan/faces'
import { Stage } from '../plan/stage'
import type { Plan } from '../plan/types'

/** The surface's latest design as a still, in true ratio; seams hatched on top. */
const props = defineProps<{ surface: SurfaceLine; width: number }>()
const stage = useTemplateRef<HTMLElement>('stage')
const empty = ref(true)

onMounted(async () => {
  const design = props.surface.designs[0]
  if (!design || !stage.value) return
  const { plan } = await call<{ plan: Plan }>('GET', `/api/designs/${design.id}/plan`)
  await Promise.all(plan.fonts.map(loadFace)).catch(() => undefined)
  const renderer = new Stage(stage.value, (sha256) => `/media/${sha256}/thumbnail`)
  const stills = plan.zones.map((zone) => ({ ...zone, items: zone.items.map((item) => (item.kind === 'video' ? { ...item, kind: 'picture' as const } : item)) }))
  renderer.show(plan.canvas, stills)
  renderer.at(0, plan.from_ms, false)
  empty.value = false
})
</script>

<template>
  <span class="still" :class="{ empty }" aria-hidden="true">
    <span ref="stage" class="still-stage" :style="{ transform: `scale(${width / surface.canvas[0]})` }" />
    <svg class="seams" :viewBox="`0 0 ${surface.canvas[0]} ${surface.canvas[1]}`" preserveAspectRatio="none" aria-hidden="true">
      <rect v-for="(seam, index) in surface.seams" :key="index" :x="seam[0]" :y="seam[1]" :width="seam[2]" :height="seam[3]" />
    </svg>
  </span>
</template>
