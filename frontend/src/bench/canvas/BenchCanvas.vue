<script setup lang="ts">
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { facesOf, loadFace } from '../../plan/faces'
import { Stage } from '../../plan/stage'
import type { DatedPlan } from '../../plan/types'
import { fontsOf } from '../../api/sites'
import type { FontLine, Mullion } from '../../api/types'
import { useSession } from '../../session/session'
import { isPersons } from '../../ui/focus'
import SeamLines from '../../ui/SeamLines.vue'
import DimensionLines from './DimensionLines.vue'
import { useDesign } from '../store/design'
import { useDrawing } from './drawing'
import PreviewAlone from '../aside/PreviewAlone.vue'
import type { FloatDrag } from './useFloatDrag'
import FloatLayer from './FloatLayer.vue'
import FoundPlace from './FoundPlace.vue'
import GuideLayer from './GuideLayer.vue'
import LatticeLayer from './LatticeLayer.vue'
import { measure } from './measuring'
import MullionHandles from './MullionHandles.vue'
import PaneLayer from './PaneLayer.vue'
import PanelNames from './PanelNames.vue'
import TextInPlace from './TextInPlace.vue'
import { useMullionDrag } from './useMullionDrag'
import { useLattice } from '../store/useLattice'
import { usePasteboard } from './usePasteboard'
import { useAwake } from '../time/useAwake'
import { useSceneStage } from '../scenes/useSceneStage'
import { useView } from './useView'
import { useWriting } from '../fills/useWriting'

/** While a round of several scenes plays, its whole plan is drawn and nothing can be handled. */
const props = defineProps<{ round: DatedPlan | null; playing: boolean }>()
const emit = defineEmits<{ play: []; step: [by: number]; drawn: [] }>()
const { t } = useI18n()
const design = useDesign()
const session = useSession()
const room = ref<HTMLElement>()
const floating = useTemplateRef<InstanceType<typeof FloatLayer>>('floating')
const stageRoot = useTemplateRef<HTMLElement>('stageRoot')
const canvas = computed(() => design.answer?.canvas ?? ([1, 1] as [number, number]))
const editable = computed(() => design.mayChange && props.round === null)
const { scale, left, top, view, wheel, pan, ready } = useView(room, () => canvas.value)
const drawing = useDrawing()
const { awake, kept, stir, leave } = useAwake()
const lattice = useLattice()
const { writing, begin, beginAt, end } = useWriting(() => editable.value)
const mullions = useMullionDrag(
  () => design.bench,
  () => scale.value,
  (mullion, at, alone) => void design.moveMullion(mullion, at, alone),
)
let stage: Stage | null = null
const shown = useSceneStage()
const pasted = ref<'long' | 'version' | null>(null)
usePasteboard(
  () => editable.value,
  (reason) => (pasted.value = reason),
)

onMounted(() => {
  if (stageRoot.value) stage = new Stage(stageRoot.value, (sha256) => `/media/${sha256}/original`)
  watch([shown, () => props.round], () => void show(), { immediate: true })
})

const ask = (): Promise<FontLine[]> => fontsOf(session.slug)
let fonts = ask()
/** The faces that there are; asked for again when one is used that was not there yet. */
async function faces(used: Set<string>): Promise<FontLine[]> {
  const there = new Set((await fonts).map((face) => `${face.family} ${face.weight}`))
  if ([...used].some((face) => !there.has(face))) fonts = ask()
  return (await fonts).filter((face) => used.has(`${face.family} ${face.weight}`))
}
async function show(): Promise<void> {
  const plan = props.round ?? shown.value
  stage?.show(plan)
  emit('drawn')
  const used = new Set(
    Object.values(plan.scenes)
      .flatMap((scene) => scene.zones)
      .flatMap((zone) => zone.items.flatMap(facesOf)),
  )
  await Promise.all((await faces(used)).map((face) => loadFace(face))).catch(() => undefined)
  const zones = Object.values(plan.scenes).flatMap((scene) => scene.zones)
  if (!editable.value || !(await measure(session.slug, zones))) return
  // What was on its way while the widths were told may have been answered without them.
  await design.settled()
  await design.reload()
}

function draw(tMs: number, running: boolean, nowMs?: number): void {
  // Clocks show the server's time at opening, plus the playhead, or a pinned instant.
  stage?.at(tMs, nowMs ?? design.beganMs + tMs, running)
}
defineExpose({ draw })

/** So many zones can follow a dragged mullion without falling behind the pointer; beyond, the line and its numbers move alone. */
const MOST_FOLLOWING = 100
/** While a mullion is dragged its neighbours follow by that linear rule; the core's answer then replaces them. */
watch(
  mullions.drag,
  (drag, before) => {
    const touched = (drag ?? before)?.mullion
    if (!touched || design.plans.length > MOST_FOLLOWING) return
    const lines = design.bench.mullions.filter((line) => touched.linked.includes(line.after))
    const moving = drag?.alone ? lines.filter((line) => line.after === touched.after) : lines
    for (const zone of new Set(lines.flatMap((line) => line.between.flat()))) clip(zone, touched, moving, drag ? drag.at - touched.at : 0)
  },
  { flush: 'post' },
)
function clip(zone: string, touched: Mullion, lines: Mullion[], by: number): void {
  const element = stage?.element(zone)
  const rect = design.zones[zone]?.rect
  if (!element || !rect) return
  const grows = lines.some((line) => line.between[0].includes(zone)) ? by : 0
  const yields = lines.some((line) => line.between[1].includes(zone)) ? by : 0
  if (touched.axis === 'x') Object.assign(element.style, { left: `${rect[0] + yields}px`, width: `${rect[2] + grows - yields}px` })
  else Object.assign(element.style, { top: `${rect[1] + yields}px`, height: `${rect[3] + grows - yields}px` })
}

/** Dragged floats follow at once; what is drawn in them comes with the core's answer. */
function hold(drag: FloatDrag | null, before: FloatDrag | null): void {
  for (const [zone, plan] of Object.entries(design.zones)) {
    const rect = drag?.rects[zone] ?? (before?.rects[zone] ? plan.rect : undefined)
    const turn = drag?.turns[zone] ?? (before?.turns[zone] === undefined ? undefined : plan.turn)
    const element = rect !== undefined || turn !== undefined ? stage?.element(zone) : undefined
    if (!element || drag?.copies) continue
    if (rect) Object.assign(element.style, { left: `${rect[0]}px`, top: `${rect[1]}px`, width: `${rect[2]}px`, height: `${rect[3]}px` })
    if (turn !== undefined) element.style.transform = turn === 0 ? '' : `rotate(${turn / 100}deg)`
  }
}

/** Space held moves the sheet by hand; pressed and let go it plays. */
const held = ref(false)
function press(event: PointerEvent): void {
  if (event.button === 1) pan(event)
  else if (held.value && event.button === 0) {
    // Held for the hand, it does not play when it is let go.
    pan(event)
    held.value = false
  }
}
function letGo(event: KeyboardEvent): void {
  if (event.key !== ' ') return
  if (held.value) emit('play')
  held.value = false
  event.preventDefault()
}
/** Single keys are commands only where the person put the focus; what is typed elsewhere does nothing here. */
function guard(event: KeyboardEvent): void {
  const single = event.key.length === 1 || event.key === 'Delete' || event.key === 'Backspace'
  if (single && !event.ctrlKey && !event.metaKey && !isPersons(event.target)) event.stopPropagation()
}
function keys(event: KeyboardEvent): void {
  if (event.target instanceof HTMLElement && event.target.matches('input, textarea, select')) return
  const acts: Record<string, () => void> = {
    ' ': () => (held.value = true),
    ',': () => emit('step', -1000),
    '.': () => emit('step', 1000),
    l: () => (kept.value = !kept.value),
    '0': view.fit,
    '1': view.actual,
    '2': () => design.zone && view.around(design.zone.rect),
    ...(editable.value
      ? {
          F2: () => void begin(design.selected),
          g: () => void lattice.toggle(),
          f: () => (design.tool = 'empty'),
          t: () => (design.tool = 'text'),
          v: () => (design.tool = null),
        }
      : {}),
  }
  const act = event.ctrlKey || event.metaKey || event.altKey ? undefined : acts[event.key]
  if (!act) return
  event.preventDefault()
  act()
}
</script>

<template>
  <div
    ref="room"
    class="canvas-room"
    role="group"
    :aria-label="t('bench.canvas')"
    @keydown.capture="guard"
    @keydown="keys"
    @keyup="letGo"
    @wheel="wheel"
    @pointermove="stir"
    @pointerleave="leave"
    @pointerdown.capture="press">
    <div
      class="canvas-sheet"
      :class="{ awake: awake || kept }"
      @dblclick="beginAt"
      :style="{ left: `${left}px`, top: `${top}px`, width: `${canvas[0] * scale}px`, height: `${canvas[1] * scale}px` }">
      <div ref="stageRoot" class="bench-stage" :style="{ transform: `scale(${scale})`, '--scale': scale }" aria-hidden="true" />
      <template v-if="ready">
        <SeamLines :canvas="canvas" :seams="design.answer?.seams ?? []" :scale="scale" />
        <PanelNames :canvas="canvas" :panels="design.answer?.panels ?? {}" :safe="design.answer?.safe ?? null" :scale="scale" />
        <template v-if="round === null">
          <PaneLayer
            :scale="scale"
            @gather="floating?.gather($event)"
            :dragging="mullions.drag.value !== null"
            :editable="editable"
            :quiet="playing" />
          <MullionHandles :scale="scale" :drag="mullions.drag.value" :editable="editable" @start="mullions.start" @nudge="mullions.nudge" />
          <FloatLayer ref="floating" :scale="scale" :editable="editable" :quiet="playing" @drag="hold" />
          <GuideLayer v-if="!playing" :scale="scale" :editable="editable" />
          <LatticeLayer v-if="drawing.carving && editable && !playing" :scale="scale" />
          <FoundPlace v-if="!playing" :scale="scale" />
          <DimensionLines :scale="scale" :drag="mullions.drag.value" />
          <TextInPlace
            v-if="writing && !playing"
            :key="writing.plan.id"
            :plan="writing.plan"
            :fill="writing.fill"
            :scale="scale"
            @done="end" />
        </template>
      </template>
    </div>
    <PreviewAlone v-if="drawing.alone" @close="drawing.alone = false" />
    <p v-if="pasted" class="refusal paste-refusal" role="alert">
      {{ t(`float.paste-${pasted}`) }}
      <button type="button" class="plain" @click="pasted = null">{{ t('close') }}</button>
    </p>
  </div>
</template>
