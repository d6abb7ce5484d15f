<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { seconds } from '../ui/format'
import { useDesign } from './design'

const props = defineProps<{ tMs: number; playing: boolean }>()
const emit = defineEmits<{ toggle: []; seek: [tMs: number] }>()
const { t } = useI18n()
const design = useDesign()
const lanes = ref<HTMLElement>()

/** How much time the rail shows: the longest round, and a minute at least. */
const spanMs = computed(() => Math.max(60_000, ...design.plans.map((plan) => plan.cycle_ms ?? 0)))
const position = computed(() => ((props.tMs % spanMs.value) / spanMs.value) * 100)

interface Piece { from: number; to: number; word: string }
function pieces(cycle: number | null, items: { ms: number | null; entry: string | null }[]): Piece[] {
  if (cycle === null || cycle === 0) return [{ from: 0, to: 100, word: t('rail.steady') }]
  const all: Piece[] = []
  for (let at = 0; at < spanMs.value; ) {
    for (const [index, item] of items.entries()) {
      const to = Math.min(spanMs.value, at + (item.ms ?? 0))
      if (at < spanMs.value) all.push({ from: (at / spanMs.value) * 100, to: (to / spanMs.value) * 100, word: `${index + 1}` })
      at += item.ms ?? 0
    }
  }
  return all.slice(0, 400)
}
function seekTo(event: PointerEvent): void {
  const bounds = lanes.value?.getBoundingClientRect()
  if (!bounds) return
  const share = Math.max(0, Math.min(0.9999, (event.clientX - bounds.left) / bounds.width))
  emit('seek', Math.round(share * spanMs.value))
}
function scrub(event: PointerEvent): void {
  seekTo(event)
  const end = (): void => removeEventListener('pointermove', seekTo)
  addEventListener('pointermove', seekTo)
  addEventListener('pointerup', end, { once: true })
  addEventListener('pointercancel', end, { once: true })
}
function keys(event: KeyboardEvent): void {
  const steps: Record<string, number> = { ArrowLeft: -1000, ArrowRight: 1000, PageDown: -10_000, PageUp: 10_000, Home: -props.tMs }
  const by = steps[event.key]
  if (by === undefined) return
  event.preventDefault()
  emit('seek', props.tMs + by)
}
</script>

<template>
  <section class="time-rail" :aria-label="t('rail.title')">
    <div class="rail-head">
      <button type="button" class="btn btn-sm btn-live" @click="emit('toggle')">{{ t(playing ? 'rail.pause' : 'rail.play') }}</button>
      <span class="measure now" :class="{ playing }">{{ seconds(tMs) }}</span>
    </div>
    <div class="rail-lanes">
      <div class="lane-letters" aria-hidden="true"><button v-for="plan in design.plans" :key="plan.id" type="button" tabindex="-1" :class="{ chosen: plan.id === design.selected }" @click="design.selected = plan.id">{{ plan.letter }}</button></div>
      <div ref="lanes" class="lanes" role="slider" tabindex="0" :aria-label="t('rail.position')" aria-valuemin="0" :aria-valuemax="spanMs" :aria-valuenow="tMs" :aria-valuetext="seconds(tMs)" @pointerdown="scrub" @keydown="keys">
        <div v-for="plan in design.plans" :key="plan.id" class="lane" :class="{ chosen: plan.id === design.selected }">
          <span v-for="(piece, index) in pieces(plan.cycle_ms, plan.items)" :key="index" class="piece" :class="{ steady: plan.cycle_ms === null }" :style="{ left: `${piece.from}%`, width: `${piece.to - piece.from}%` }">{{ piece.word }}</span>
        </div>
        <span class="playhead" :style="{ left: `${position}%` }" />
      </div>
    </div>
  </section>
</template>
