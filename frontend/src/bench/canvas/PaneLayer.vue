<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { ZonePlan } from '../../plan/types'
import { faceOf, goOn } from '../../ui/focus'
import { pixels, ratioText } from '../../ui/format'
import { useDesign } from '../store/design'
import { halvesOf } from '../store/parts'
import { snapTo } from './snap'
import { useMerge } from './useMerge'
import { carried } from './stockDrag'
import { swapping, useSwap } from './useSwap'
import { worstOf } from '../../ui/severity'

/** `quiet` while the canvas plays: letters and sizes step back. */
const props = defineProps<{ scale: number; dragging: boolean; editable: boolean; quiet: boolean }>()
const emit = defineEmits<{ gather: [event: PointerEvent] }>()
const { t } = useI18n()
const design = useDesign()
const swapByDrag = useSwap()
/** Where a split would go: the pane, the axis, and the canvas px under the pointer. */
const guide = ref<{ zone: string; axis: 'x' | 'y'; at: number } | null>(null)
const pointer = ref<{ zone: string; x: number; y: number } | null>(null)

const box = (plan: ZonePlan): Record<string, string> => ({
  left: `${plan.rect[0] * props.scale}px`,
  top: `${plan.rect[1] * props.scale}px`,
  width: `${plan.rect[2] * props.scale}px`,
  height: `${plan.rect[3] * props.scale}px`,
})

function canvasPoint(event: PointerEvent): { x: number; y: number } {
  const sheet = (event.currentTarget as HTMLElement).closest('.canvas-sheet')?.getBoundingClientRect()
  return {
    x: Math.round((event.clientX - (sheet?.left ?? 0)) / props.scale),
    y: Math.round((event.clientY - (sheet?.top ?? 0)) / props.scale),
  }
}
const snapped = (axis: 'x' | 'y', at: number, free: boolean): number => (free ? at : snapTo(design.bench.snaps[axis], at, props.scale))
const hover = (plan: ZonePlan, event: PointerEvent): void => void (pointer.value = { zone: plan.id, ...canvasPoint(event) })
const aim = (plan: ZonePlan, axis: 'x' | 'y', event: PointerEvent): void => {
  guide.value = { zone: plan.id, axis, at: snapped(axis, canvasPoint(event)[axis], event.ctrlKey) }
}
async function cut(): Promise<void> {
  const line = guide.value
  guide.value = null
  if (line) await goOn(() => design.split(line.zone, line.axis, line.at), faceOf(line.zone))
}

/** At the pointer when it is over the pane, else in half. */
function splitByKey(plan: ZonePlan, axis: 'x' | 'y'): void {
  const over = pointer.value?.zone === plan.id ? pointer.value[axis] : null
  void design.split(plan.id, axis, over === null ? halvesOf(design.bench, plan.id)[axis].at : snapped(axis, over, false))
}
const mergeInto = useMerge()
function merge(plan: ZonePlan): void {
  const neighbour = design.bench.parts[plan.id]?.neighbours.at(-1)
  if (neighbour) void mergeInto(plan.id, neighbour.part)
}
function keys(plan: ZonePlan, event: KeyboardEvent): void {
  if (event.ctrlKey || event.metaKey || event.altKey || !props.editable) return
  const acts: Record<string, () => void> = {
    '|': () => splitByKey(plan, 'x'),
    C: () => splitByKey(plan, 'x'),
    '-': () => splitByKey(plan, 'y'),
    R: () => splitByKey(plan, 'y'),
    m: () => merge(plan),
    Delete: () => void design.setFill(plan.id, { kind: 'empty' }),
  }
  const act = acts[event.key]
  if (!act) return
  event.preventDefault()
  event.stopPropagation()
  act()
}
/** The edge of the canvas at which its letter hangs outside; none of a pane in the middle. */
function edgeOf({ rect }: ZonePlan): string {
  const [width, height] = design.answer?.canvas ?? [0, 0]
  if (rect[1] + rect[3] === height) return 'hang bottom'
  if (rect[1] === 0) return 'hang top'
  if (rect[0] === 0) return 'hang left'
  return rect[0] + rect[2] === width ? 'hang right' : ''
}
const panes = computed(() => design.plans.filter((plan) => !plan.float))
const halves = computed(() => {
  const rect = guide.value ? design.zones[guide.value.zone]?.rect : undefined
  if (!guide.value || !rect) return ''
  const [start, length] = guide.value.axis === 'x' ? [rect[0], rect[2]] : [rect[1], rect[3]]
  const { gutter } = halvesOf(design.bench, guide.value.zone)[guide.value.axis]
  return `${guide.value.at - start} | ${start + length - guide.value.at - gutter} px`
})
/** Chosen or under the pointer: the name of any other would lie over what it shows. */
const hovered = computed(() => pointer.value?.zone)
const isAtHand = (zone: string): boolean => zone === design.selected || (!props.dragging && zone === hovered.value)
const shared = (zone: string): number => design.documents[zone]?.scenes.length ?? 1
const severity = (zone: string): string => worstOf(design.findings[zone] ?? []) ?? ''
</script>

<template>
  <div class="pane-layer" :class="{ carrying: carried.media, quiet: quiet || design.typing }">
    <div
      v-for="plan in panes"
      :key="plan.id"
      class="pane"
      :class="[{ chosen: plan.id === design.selected, over: carried.over === plan.id || swapping.over === plan.id }, severity(plan.id)]"
      :style="box(plan)"
      :data-pane="plan.id"
      @pointermove="hover(plan, $event)"
      @pointerleave="pointer = null">
      <button
        type="button"
        class="pane-face"
        :aria-pressed="plan.id === design.selected"
        :aria-label="
          t('bench.zone', {
            letter: plan.letter,
            size: pixels(plan.rect[2], plan.rect[3]),
            fill: t(`fill.${design.documents[plan.id]?.fill.kind ?? 'empty'}`),
          })
        "
        @pointerdown="$event.button === 0 && emit('gather', $event)"
        @click="design.selected = plan.id"
        @keydown="keys(plan, $event)" />
      <span v-if="edgeOf(plan)" class="edge-letter" :class="edgeOf(plan)" aria-hidden="true">
        <b :class="{ grip: editable }" @pointerdown="editable && swapByDrag(plan.id, $event)">{{ plan.letter }}</b>
        <i v-if="shared(plan.id) > 1">{{ `×${shared(plan.id)}` }}</i>
      </span>
      <span class="pane-label" :class="{ inner: !edgeOf(plan) }" aria-hidden="true">
        <b v-if="!edgeOf(plan)" :class="{ grip: editable }" @pointerdown="editable && swapByDrag(plan.id, $event)">{{ plan.letter }}</b>
        <i v-if="!edgeOf(plan) && shared(plan.id) > 1">{{ `×${shared(plan.id)}` }}</i>
        <span v-if="plan.name && plan.rect[2] * scale > 160 && isAtHand(plan.id)" class="zone-name">{{ plan.name }}</span>
        <span v-if="plan.id === design.selected && plan.rect[2] * scale > (plan.name ? 320 : 90)" class="measure">
          {{ pixels(plan.rect[2], plan.rect[3]) }} · {{ ratioText(plan.ratio) }}
        </span>
      </span>
      <template v-if="editable && !dragging && isAtHand(plan.id)">
        <button
          type="button"
          tabindex="-1"
          class="edge-handle along-top"
          :aria-label="t('bench.split-columns', { letter: plan.letter })"
          @pointermove="aim(plan, 'x', $event)"
          @pointerleave="guide = null"
          @click="cut" />
        <button
          type="button"
          tabindex="-1"
          class="edge-handle along-left"
          :aria-label="t('bench.split-rows', { letter: plan.letter })"
          @pointermove="aim(plan, 'y', $event)"
          @pointerleave="guide = null"
          @click="cut" />
      </template>
      <span
        v-if="guide?.zone === plan.id"
        class="guide"
        :class="guide.axis"
        :style="
          guide.axis === 'x' ? { left: `${(guide.at - plan.rect[0]) * scale}px` } : { top: `${(guide.at - plan.rect[1]) * scale}px` }
        ">
        <span class="measure">{{ halves }}</span>
      </span>
    </div>
  </div>
</template>
