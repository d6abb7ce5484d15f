<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { seconds } from '../../ui/format'
import { useDrawn } from '../../ui/useDrawn'
import { useDesign } from '../store/design'
import LaneLetters from './LaneLetters.vue'
import RailLanes from './RailLanes.vue'
import RailSays from './RailSays.vue'
import TimeField from './TimeField.vue'
import { useChanges } from './useChanges'
import { useRailZoom } from './useRailZoom'

const props = defineProps<{ tMs: number; playing: boolean; speed: number }>()
const emit = defineEmits<{ moment: []; toggle: []; seek: [tMs: number]; speed: [times: number] }>()
const SPEEDS = [1, 4, 16]
const ARROWS = ['◂', '▸']
const { t } = useI18n()
const design = useDesign()
const lanes = ref<HTMLElement>()
const room = ref<HTMLElement>()
const drawn = useDrawn()

const round = computed(() => design.answer?.round ?? { scenes: [], cycle_ms: null })
const many = computed(() => round.value.scenes.length > 1 && round.value.scenes.some((one) => one.scene === design.scene))
/** How much time the rail shows: a round whole, where it has an end; else the longest cycle of a zone, and a minute at least. */
const spanMs = computed(() =>
  (many.value || (round.value.scenes.length === 1 && round.value.scenes[0]?.scene === design.scene)) && round.value.cycle_ms
    ? round.value.cycle_ms
    : Math.max(60_000, ...design.plans.map((plan) => plan.cycle_ms ?? 0)),
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

const zoom = useRailZoom(room, () => spanMs.value)
watch(position, (percent) => zoom.follow(percent / 100), { flush: 'post' })

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
const changes = useChanges()
/** To the next change of anything, or the one before; the scene's ends are changes too. */
function change(by: -1 | 1): void {
  const { fromMs, toMs } = window.value
  const at = (props.tMs % spanMs.value) - fromMs
  const to = by > 0 ? changes.next(at) : changes.previous(at)
  emit('seek', fromMs + Math.max(0, Math.min(toMs - fromMs, to ?? (by > 0 ? toMs - fromMs : 0))))
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
  if (event.altKey && (event.key === 'ArrowLeft' || event.key === 'ArrowRight')) {
    event.preventDefault()
    return change(event.key === 'ArrowLeft' ? -1 : 1)
  }
  const zooms: Record<string, () => void> = { '+': zoom.nearer, '-': zoom.farther, '0': zoom.whole }
  if (zooms[event.key]) {
    event.preventDefault()
    return zooms[event.key]!()
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
      <div class="rail-steps" role="group" :aria-label="t('rail.speed')">
        <button
          v-for="times in SPEEDS"
          :key="times"
          type="button"
          class="plain"
          :aria-pressed="speed === times"
          @click="emit('speed', times)">
          {{ times }}×
        </button>
      </div>
      <div class="rail-steps">
        <button type="button" class="plain" :aria-label="t('rail.previous')" :title="t('rail.previous')" @click="change(-1)">
          {{ ARROWS[0] }}
        </button>
        <button type="button" class="plain" :aria-label="t('rail.next')" :title="t('rail.next')" @click="change(1)">{{ ARROWS[1] }}</button>
      </div>
    </div>
    <div class="rail-time">
      <div class="rail-lanes">
        <LaneLetters v-if="drawn" :banded="spans.length > 0" />
        <div v-else class="lane-letters" />
        <div ref="room" class="rail-room" @wheel="zoom.wheel">
          <div
            ref="lanes"
            class="lanes"
            :style="{ width: `${zoom.times.value * 100}%` }"
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
            <RailLanes v-if="drawn" :from-ms="window.fromMs" :to-ms="window.toMs" :span-ms="spanMs" />
            <span class="playhead" :style="{ left: `${position}%` }" />
          </div>
        </div>
      </div>
      <div class="rail-foot">
        <div><RailSays /></div>
        <div class="rail-zoom" role="group" :aria-label="t('rail.zoom')">
          <button type="button" class="plain" :aria-label="t('rail.farther')" :disabled="zoom.times.value === 1" @click="zoom.farther">
            −
          </button>
          <button
            type="button"
            class="plain"
            :aria-label="t('rail.nearer')"
            :disabled="zoom.times.value >= zoom.most.value"
            @click="zoom.nearer">
            +
          </button>
        </div>
        <button :title="t('moment.hint')" type="button" class="plain" @click="emit('moment')">{{ t('bench.moment') }}</button>
      </div>
    </div>
  </section>
</template>
