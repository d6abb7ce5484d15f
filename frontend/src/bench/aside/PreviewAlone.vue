<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { planOf } from '../../api/designs'
import { loadFace } from '../../plan/faces'
import { Stage } from '../../plan/stage'
import type { DatedPlan } from '../../plan/types'
import { useDesign } from '../store/design'

/** The design alone on the whole screen, running from its beginning: fitted, or at true pixels. Escape leads back. */
const emit = defineEmits<{ close: [] }>()
const { t } = useI18n()
const design = useDesign()
const root = useTemplateRef<HTMLElement>('root')
const stageRoot = useTemplateRef<HTMLElement>('stageRoot')
const plan = shallowRef<DatedPlan | null>(null)
const whole = ref(false)
const scale = ref(1)
let stage: Stage | null = null
let frame = 0
let began = 0

function size(): void {
  const [width, height] = plan.value?.canvas ?? [1, 1]
  scale.value = whole.value ? 1 / (devicePixelRatio || 1) : Math.min(innerWidth / width, innerHeight / height)
}
const sheet = computed(() => {
  const [width, height] = (plan.value?.canvas ?? [0, 0]).map((side) => side * scale.value) as [number, number]
  // On whole px, else everything would be blurred.
  const [left, top] = [(innerWidth - width) / 2, (innerHeight - height) / 2].map((at) => Math.max(0, Math.floor(at)))
  return { left: `${left}px`, top: `${top}px`, width: `${width}px`, height: `${height}px` }
})
function step(now: number): void {
  const tMs = now - began
  stage?.at(tMs, (plan.value?.dates.now_ms ?? 0) + tMs, true)
  frame = requestAnimationFrame(step)
}
function keys(event: KeyboardEvent): void {
  if (event.key === '1') whole.value = true
  else if (event.key === '0') whole.value = false
  else if (event.key === 'Escape') emit('close')
  else return
  event.preventDefault()
  event.stopPropagation()
}
const leave = (): void => void (document.fullscreenElement === null && emit('close'))
watch(whole, size)
onMounted(async () => {
  root.value?.focus()
  // Where the browser does not allow it, the page's own window is filled.
  await root.value?.requestFullscreen?.().then(
    () => addEventListener('fullscreenchange', leave),
    () => undefined,
  )
  addEventListener('resize', size)
  plan.value = await planOf(design.id)
  if (!plan.value || !stageRoot.value) return emit('close')
  await Promise.all(plan.value.fonts.map((face) => loadFace(face))).catch(() => undefined)
  size()
  stage = new Stage(stageRoot.value, (sha256) => `/media/${sha256}/original`)
  stage.show(plan.value)
  began = performance.now()
  frame = requestAnimationFrame(step)
})
onUnmounted(() => {
  cancelAnimationFrame(frame)
  removeEventListener('resize', size)
  removeEventListener('fullscreenchange', leave)
  stage?.clear()
  if (document.fullscreenElement) void document.exitFullscreen()
})
</script>

<template>
  <Teleport to="body">
    <div ref="root" class="preview-alone" role="dialog" :aria-label="t('drawing.alone')" tabindex="-1" @keydown="keys">
      <div class="preview-sheet" :style="sheet">
        <div ref="stageRoot" class="bench-stage" :style="{ transform: `scale(${scale})` }" />
      </div>
      <div class="preview-bar">
        <button type="button" class="btn btn-sm btn-outline-dark" :aria-pressed="!whole" @click="whole = false">
          {{ t('bench.fit') }}
        </button>
        <button type="button" class="btn btn-sm btn-outline-dark" :aria-pressed="whole" @click="whole = true">
          {{ t('drawing.true') }}
        </button>
        <button type="button" class="btn btn-sm btn-outline-dark" @click="emit('close')">
          {{ t('close') }}
          <kbd>Esc</kbd>
        </button>
      </div>
    </div>
  </Teleport>
</template>
