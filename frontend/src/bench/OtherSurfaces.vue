<script setup lang="ts">
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { call } from '../api/client'
import type { Elevation, Finding, SurfaceLine } from '../api/types'
import { loadFace } from '../plan/faces'
import { Stage } from '../plan/stage'
import type { Plan } from '../plan/types'
import FindingMark from '../ui/FindingMark.vue'
import RefusalNote from '../ui/RefusalNote.vue'
import { pixels } from '../ui/format'
import { useDesign } from './design'

const props = defineProps<{ tMs: number }>()
const { t } = useI18n()
const design = useDesign()
const surfaces = ref<SurfaceLine[]>([])
const chosen = ref('')
const plan = ref<Plan | null>(null)
const findings = ref<Finding[]>([])
const error = ref<unknown>(null)
const root = useTemplateRef<HTMLElement>('root')
const WIDTH_PX = 300
const HEIGHT_PX = 420
const scale = computed(() => (plan.value ? Math.min(WIDTH_PX / plan.value.canvas[0], HEIGHT_PX / plan.value.canvas[1]) : 1))
let stage: Stage | null = null

async function load(): Promise<void> {
  if (!chosen.value) return
  error.value = null
  try {
    const answer = await call<{ plan: Plan; findings: Finding[] }>('GET', `/api/designs/${design.id}/plan?surface=${chosen.value}`)
    await Promise.all(answer.plan.fonts.map(loadFace)).catch(() => undefined)
    plan.value = answer.plan
    findings.value = answer.findings
    stage?.show(answer.plan.canvas, answer.plan.zones)
    draw()
  } catch (refused) {
    error.value = refused
  }
}
const draw = (): void => void stage?.at(props.tMs, (plan.value?.from_ms ?? 0) + props.tMs, false)
watch([chosen, () => design.answer?.revision], () => void load())
watch(() => props.tMs, draw)
onMounted(async () => {
  if (root.value) stage = new Stage(root.value, (sha256) => `/media/${sha256}/original`)
  surfaces.value = (await call<Elevation>('GET', '/api/sites/harrowmere/elevation').catch(() => ({ surfaces: [] }))).surfaces.filter((one) => one.code !== design.answer?.surface?.code)
})
</script>

<template>
  <p class="hint">{{ t('other.hint') }}</p>
  <label>{{ t('other.surface') }}<select v-model="chosen" class="form-select form-select-sm"><option value="" disabled>{{ t('other.pick') }}</option><option v-for="one in surfaces" :key="one.code" :value="one.code">{{ one.name }}, {{ one.canvas[0] }} × {{ one.canvas[1] }}</option></select></label>
  <RefusalNote :error="error" />
  <p v-if="plan" class="measure">{{ pixels(...plan.canvas) }}</p>
  <div v-show="plan" class="other-frame" :style="{ width: `${(plan?.canvas[0] ?? 0) * scale}px`, height: `${(plan?.canvas[1] ?? 0) * scale}px` }"><div ref="root" class="bench-stage" :style="{ transform: `scale(${scale})` }" aria-hidden="true" /></div>
  <ul v-if="plan" class="lines sizes"><li v-for="zone in plan.zones" :key="zone.id" class="line"><b class="letter">{{ zone.letter }}</b><span class="measure">{{ pixels(zone.rect[2], zone.rect[3]) }}</span></li></ul>
  <ul class="findings short"><li v-for="(finding, index) in findings" :key="index"><FindingMark :severity="finding.severity" /><span>{{ finding.message }} <span class="hint">{{ finding.mend }}</span></span></li></ul>
</template>
