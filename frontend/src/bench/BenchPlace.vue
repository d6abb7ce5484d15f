<script setup lang="ts">
import { computed, onMounted, ref, toRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { ProblemError } from '../api/client'
import type { MediaLine } from '../api/types'
import ConflictChoice from '../document/ConflictChoice.vue'
import MendButton from '../document/MendButton.vue'
import { useListening } from '../document/useListening'
import { useSession } from '../session/session'
import { useUploads } from '../stock/uploads'
import { useStyles } from '../styles/styles'
import RefusalNote from '../ui/RefusalNote.vue'
import { useUndoKeys } from '../ui/useUndoKeys'
import BenchBar from './BenchBar.vue'
import BenchCanvas from './canvas/BenchCanvas.vue'
import BenchColumn from './aside/BenchColumn.vue'
import BenchNotes from './BenchNotes.vue'
import BesideSheets from './aside/BesideSheets.vue'
import type { Aside } from './aside/column'
import { useDesign } from './store/design'
import MissingZones from './scenes/MissingZones.vue'
import PutNotes from './aside/PutNotes.vue'
import { carried } from './canvas/stockDrag'
import TimeRail from './time/TimeRail.vue'
import TitleBlock from './TitleBlock.vue'
import { wantedMs } from './time/seeking'
import { useMoment } from './time/useMoment'
import { useBeside } from './aside/useBeside'
import { usePlayhead } from './time/usePlayhead'
import { usePut } from './canvas/usePut'
import { useRoundPlay } from './scenes/useRoundPlay'
import { firstField, goOn } from '../ui/focus'

const { t } = useI18n()
const route = useRoute()
const router = useRouter()
const design = useDesign()
const stock = useUploads()
const session = useSession()
const styles = useStyles()
const error = ref<unknown>(null)
const canvas = ref<InstanceType<typeof BenchCanvas>>()
const face = toRef(design, 'shown')
const aside = ref<Aside | null>(null)
const playhead = usePlayhead((tMs, running) => draw(tMs, running))
const moment = useMoment()
const round = useRoundPlay(playhead.tMs, playhead.playing)
function draw(tMs: number, running: boolean): void {
  const pinned = moment.shown.value
  if (pinned && !running) canvas.value?.draw(pinned.t_ms, false, pinned.at_ms)
  else canvas.value?.draw(round.drawn.value ? tMs : running ? tMs : round.inScene.value, running)
}
const redraw = (): void => void requestAnimationFrame(() => draw(playhead.tMs.value, playhead.playing.value))
const id = computed(() => (typeof route.params['design'] === 'string' ? route.params['design'] : ''))
const query = (name: string): string => (typeof route.query[name] === 'string' ? route.query[name] : '')
const beside = useBeside(
  computed(() => (design.id === id.value ? id.value : '')),
  () => design.revision,
)
const LAST = `bench:last:${session.slug}`

async function open(wanted: string): Promise<void> {
  const last = localStorage.getItem(LAST)
  if (wanted === '') {
    if (last) await router.replace({ name: 'bench', params: { design: last } })
    return
  }
  playhead.pause()
  error.value = null
  try {
    await design.open(wanted, query('scene'), query('layout') === 'turned' ? 'turned' : 'own')
    localStorage.setItem(LAST, wanted)
    const site = design.answer?.surface?.site
    if (site && site !== route.params['site']) await router.replace({ params: { site, design: wanted }, query: route.query })
    design.selected = design.zones[query('zone')] ? query('zone') : (design.order[0] ?? null)
    playhead.seek(round.startOf(design.scene) ?? 0)
    if (query('at')) aside.value = 'moment'
  } catch (refused) {
    localStorage.removeItem(LAST)
    error.value = refused
  }
}
watch(id, open, { immediate: true })
const damaged = computed(() => error.value instanceof ProblemError && error.value.problem.code === 'document.damaged')

/** The address says which scene, which of its layouts and which zone are looked at. */
watch([() => design.selected, () => design.scene, () => design.layout], ([zone, scene, layout]) => {
  if (zone && id.value === design.id)
    void router.replace({
      query: {
        ...route.query,
        zone,
        scene: scene === design.answer?.round.scenes[0]?.scene ? undefined : scene,
        layout: layout === 'turned' ? layout : undefined,
      },
    })
})
watch([() => design.plans, moment.shown], redraw)
/** Asked for, it is of now until another is chosen; left, or played on, it is over. */
watch(aside, (opened) => {
  if (opened !== 'moment') moment.clear()
  else if (!moment.shown.value) void moment.ask(query('at') ? { at: query('at') } : {})
})
const railMs = computed(() => {
  const pinned = moment.shown.value
  return pinned ? (round.startOf(pinned.scene) ?? 0) + pinned.since_ms : playhead.tMs.value
})
function seek(tMs: number): void {
  if (aside.value === 'moment') aside.value = null
  playhead.seek(tMs)
}
watch(wantedMs, (ms) => {
  if (ms === null) return
  playhead.pause()
  seek((round.startOf(design.scene) ?? 0) + ms)
  wantedMs.value = null
})
watch(playhead.playing, (runs) => {
  if (runs && aside.value === 'moment') aside.value = null
})
watch(moment.shown, (now) => {
  if (id.value === design.id) void router.replace({ query: { ...route.query, at: now?.at } })
})

async function openLayout(scene: string, layout: 'own' | 'turned'): Promise<void> {
  await design.show(scene, layout)
  design.selected = design.order[0] ?? null
  const start = round.startOf(scene)
  if (start !== null && round.many.value) playhead.seek(start)
}
const { put, putAll, putFiles, over, inTurn, dismiss, sending } = usePut()
function putAndShow(zone: string, media: MediaLine): void {
  if (design.documents[zone]?.fill.kind !== 'playlist') face.value = 'particulars'
  put(zone, media)
}
/** Their time is what is said next. */
async function putAllAndShow(zone: string, media: MediaLine[]): Promise<void> {
  face.value = 'particulars'
  await goOn(() => putAll(zone, media), firstField('.list-time'))
}
/** Escape goes back to the face of the column; a field's own Escape stays the field's. */
function back(event: KeyboardEvent): void {
  if (!(event.target instanceof HTMLElement && event.target.matches('input:not([type=checkbox]):not([type=radio]), textarea, select')))
    aside.value = null
}
useUndoKeys((kind) => void design.step(kind))
useListening(design.listen)
useListening(design.hear)
onMounted(() => void Promise.all([stock.load(), styles.load()]))
/** The names of a house style that changed stand in the particulars, too. */
watch(
  () => design.answer?.depends?.split('.')[0],
  (now, was) => {
    if (was && now !== was) void styles.load()
  },
)
</script>

<template>
  <div v-if="design.answer && design.id === id" class="bench with-column" @keydown.esc="back">
    <section class="bench-work">
      <BenchBar :plays="round.plays.value" @open="openLayout" @aside="aside = $event" />
      <MissingZones />
      <div
        class="bench-middle"
        :class="{ split: beside.codes.value.length || beside.styled.value.length }"
        @dragover.prevent
        @drop.prevent="putFiles">
        <BenchNotes />
        <PutNotes :sending="sending" :over="over" @turn="inTurn" @close="dismiss" />
        <BenchCanvas
          ref="canvas"
          :round="moment.shown.value?.plan ?? round.drawn.value"
          :playing="playhead.playing.value"
          @drawn="redraw"
          @play="playhead.toggle()"
          @step="(by) => playhead.seek(playhead.tMs.value + by)" />
        <BesideSheets
          v-if="beside.codes.value.length || beside.styled.value.length"
          :sheets="beside.sheets.value"
          :t-ms="playhead.tMs.value"
          :error="beside.error.value"
          @away="beside.away" />
      </div>
      <div class="bench-foot">
        <TimeRail
          :t-ms="railMs"
          :playing="playhead.playing.value"
          :speed="playhead.speed.value"
          @moment="aside = 'moment'"
          @toggle="playhead.toggle()"
          @seek="seek"
          @speed="(times) => (playhead.speed.value = times)" />
        <TitleBlock @aside="aside = $event" />
      </div>
    </section>
    <BenchColumn
      v-model:face="face"
      v-model:aside="aside"
      :beside="beside.codes.value"
      :styled="beside.styled.value"
      :t-ms="playhead.tMs.value"
      :moment="moment"
      @put="putAndShow"
      @put-all="putAllAndShow"
      @beside="beside.toggle"
      @style="beside.toggleStyle" />
    <div
      v-if="carried.media"
      class="carried"
      :style="{ transform: `translate(${carried.x + 12}px, ${carried.y + 12}px)` }"
      aria-hidden="true">
      <img v-if="carried.media.state === 'ready'" :src="`/media/${carried.media.sha256}/thumbnail`" alt="" />
      {{ carried.media.name }}
    </div>
    <ConflictChoice v-if="design.conflict" :problem="design.conflict" @choose="design.resolve" />
  </div>
  <div v-else-if="!id || error" class="empty-place">
    <RefusalNote :error="error" />
    <MendButton v-if="damaged && session.may('design')" :document="id" @mended="open(id)" />
    <h1 v-else>{{ t('bench.none') }}</h1>
    <p class="hint">{{ t('bench.choose') }}</p>
    <RouterLink class="btn btn-primary" :to="{ name: 'designs' }">{{ t('designs.to') }}</RouterLink>
  </div>
  <p v-else class="empty-place" role="status">{{ t('loading') }}</p>
</template>
