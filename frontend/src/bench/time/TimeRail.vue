<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { seconds } from '../../ui/format'
import { useDesign } from '../store/design'
import TimeField from './TimeField.vue'

const props = defineProps<{ tMs: number; playing: boolean }>()
const emit = defineEmits<{ toggle: []; seek: [tMs: number] }>()
const { t } = useI18n()
const design = useDesign()
const lanes = ref<HTMLElement>()

const round = computed(() => design.answer?.round ?? { scenes: [], cycle_ms: null })
const many = computed(() => round.value.scenes.length > 1 && round.value.scenes.some((one) => one.scene === design.scene))
/** How much time the rail shows: a round of several scenes whole; else the longest cycle of a zone, and a minute at least. */
const spanMs = computed(() =>
  many.value && round.value.cycle_ms ? round.value.cycle_ms : Math.max(60_000, ...design.plans.map((plan) => plan.cycle_ms ?? 0)),
)
/** The scenes along the rail, where they change. */
const spans = computed(() => {
  let from = 0
  return (many.value ? round.value.scenes : []).map((one) => {
    const begins = from
    from += one.ms ?? spanMs.value - begins
    return {
      scene: one.scene,
      name: design.scenes[one.scene]?.name ?? '',
      from: (begins / spanMs.value) * 100,
      to: (from / spanMs.value) * 100,
      fromMs: begins,
      toMs: from,
    }
  })
})
/** The stretch in which the scene that is open shows. */
const window = computed(() => spans.value.find((one) => one.scene === design.scene) ?? { fromMs: 0, toMs: spanMs.value })
const position = computed(() => ((props.tMs % spanMs.value) / spanMs.value) * 100)

interface Piece {
  from: number
  to: number
  word: string
}
function pieces(cycle: number | null, items: { ms: number | null; entry: string | null }[], word: string): Piece[] {
  const { fromMs, toMs } = window.value
  const share = (ms: number): number => (ms / spanMs.value) * 100
  if (cycle === null || cycle === 0) return [{ from: share(fromMs), to: share(toMs), word }]
  const all: Piece[] = []
  for (let at = fromMs; at < toMs;) {
    for (const [index, item] of items.entries()) {
      const to = Math.min(toMs, at + (item.ms ?? 0))
      if (at < toMs) all.push({ from: (at / spanMs.value) * 100, to: (to / spanMs.value) * 100, word: `${index + 1}` })
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
  const steps: Record<string, number> = {
    ArrowLeft: -1000,
    ArrowRight: 1000,
    PageDown: -10_000,
    PageUp: 10_000,
    Home: -props.tMs,
    End: spanMs.value - 1 - props.tMs,
  }
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
      <TimeField :t-ms="tMs" :playing="playing" @seek="emit('seek', $event)" />
    </div>
    <div class="rail-lanes">
      <div class="lane-letters" aria-hidden="true">
        <div v-if="spans.length" class="scene-band" />
        <button
          v-for="plan in design.plans"
          :key="plan.id"
          type="button"
          tabindex="-1"
          :class="{ chosen: plan.id === design.selected }"
          :title="plan.name"
          @click="design.selected = plan.id">
          {{ plan.letter }}
        </button>
      </div>
      <div
        ref="lanes"
        class="lanes"
        role="slider"
        tabindex="0"
        :aria-label="t('rail.position')"
        aria-valuemin="0"
        :aria-valuemax="spanMs"
        :aria-valuenow="tMs % spanMs"
        :aria-valuetext="seconds(tMs % spanMs)"
        @pointerdown="scrub"
        @keydown="keys">
        <div v-if="spans.length" class="scene-band">
          <span
            v-for="one in spans"
            :key="one.scene"
            class="scene-span"
            :class="{ current: one.scene === design.scene }"
            :style="{ left: `${one.from}%`, width: `${one.to - one.from}%` }">
            {{ one.name }}
          </span>
        </div>
        <div v-for="plan in design.plans" :key="plan.id" class="lane" :class="{ chosen: plan.id === design.selected }">
          <span
            v-for="(piece, index) in pieces(
              plan.cycle_ms,
              plan.items,
              t(plan.items[0]?.kind === 'standby' ? 'rail.nothing' : 'rail.steady'),
            )"
            :key="index"
            class="piece"
            :class="{ steady: plan.cycle_ms === null }"
            :style="{ left: `${piece.from}%`, width: `${piece.to - piece.from}%` }">
            {{ piece.word }}
          </span>
        </div>
        <span class="playhead" :style="{ left: `${position}%` }" />
      </div>
    </div>
  </section>
</template>
