<script setup lang="ts">
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Rect, ZonePlan } from '../../plan/types'
import { followPointer } from '../../ui/followPointer'
import { pixels } from '../../ui/format'
import { useDesign } from '../store/design'
import { between, boxOf, HANDLES, meets, type Handle, type Point } from './floatGeometry'
import { useFloatDrag, type FloatDrag } from './useFloatDrag'
import { useFloatKeys } from './useFloatKeys'
import { useFloats } from '../store/useFloats'
import { carried } from './stockDrag'
import { swapping, useSwap } from './useSwap'

/** Floats over the panes: chosen, moved, sized, turned; and the sheet on which new ones are drawn. */
const props = defineProps<{ scale: number; editable: boolean; quiet: boolean }>()
const emit = defineEmits<{ drag: [drag: FloatDrag | null, before: FloatDrag | null] }>()
const { t } = useI18n()
const design = useDesign()
const swapByDrag = useSwap()
const floats = useFloats()
const layer = useTemplateRef<HTMLElement>('layer')
const drawn = ref<Rect | null>(null)
const SLACK_SCREEN_PX = 4
const FRESH_SHARE = 4

const plans = computed(() => floats.all().flatMap((zone) => (design.zones[zone]?.hidden ? [] : (design.zones[zone] ?? []))))
function toCanvas(event: PointerEvent): Point {
  const sheet = layer.value?.getBoundingClientRect()
  return { x: (event.clientX - (sheet?.left ?? 0)) / props.scale, y: (event.clientY - (sheet?.top ?? 0)) / props.scale }
}
const { drag, move, size, turn } = useFloatDrag(() => props.scale, toCanvas)
watch(drag, (now, before) => emit('drag', now, before), { flush: 'post' })
const keys = useFloatKeys()

const rectOf = (plan: ZonePlan): Rect => (drag.value?.copies ? plan.rect : (drag.value?.rects[plan.id] ?? plan.rect))
const turnOf = (plan: ZonePlan): number => drag.value?.turns[plan.id] ?? plan.turn
const box = (rect: Rect): Record<string, string> => ({
  left: `${rect[0] * props.scale}px`,
  top: `${rect[1] * props.scale}px`,
  width: `${rect[2] * props.scale}px`,
  height: `${rect[3] * props.scale}px`,
})
const single = computed(() => design.chosen.length === 1)
const degrees = (centidegrees: number): string => `${centidegrees / 100}°`

function choose(plan: ZonePlan, event: PointerEvent | MouseEvent): void {
  if (!event.shiftKey) {
    if (!design.chosen.includes(plan.id)) floats.chooseAll([plan.id])
    return
  }
  const own = floats.family(plan.id)
  const others = design.chosen.filter((zone) => !own.includes(zone) && floats.isFloat(zone))
  floats.chooseAll(design.chosen.includes(plan.id) ? others : [...others, plan.id])
}
function press(plan: ZonePlan, event: PointerEvent): void {
  if (event.button !== 0) return
  choose(plan, event)
  if (event.currentTarget instanceof HTMLElement) event.currentTarget.focus()
  if (props.editable && !event.shiftKey) move(plan.id, event)
}
const pull = (plan: ZonePlan, handle: Handle, event: PointerEvent): void => size(plan.id, handle, event)

/** A new float where it is drawn; a click without a drag gives a quarter of the canvas around the pointer. */
function draw(event: PointerEvent): void {
  const kind = design.tool
  const from = toCanvas(event)
  const whole = ([x, y, width, height]: Rect): Rect => [
    Math.round(x),
    Math.round(y),
    Math.max(1, Math.round(width)),
    Math.max(1, Math.round(height)),
  ]
  followPointer(
    (moved) => {
      const rect = whole(between(from, toCanvas(moved)))
      drawn.value = Math.max(rect[2], rect[3]) * props.scale > SLACK_SCREEN_PX ? rect : null
    },
    (kept) => {
      const [width, height] = design.answer?.canvas ?? [4, 4]
      const quarter = whole([
        from.x - width / FRESH_SHARE / 2,
        from.y - height / FRESH_SHARE / 2,
        width / FRESH_SHARE,
        height / FRESH_SHARE,
      ])
      const rect = drawn.value ?? quarter
      drawn.value = null
      design.tool = null
      if (kept && kind) void floats.place(rect, kind)
    },
  )
}
/** Without a pointer it comes into the middle. */
function drawInMiddle(): void {
  const [width, height] = design.answer?.canvas ?? [4, 4]
  const kind = design.tool
  design.tool = null
  if (kind)
    void floats.place([Math.round((width * 3) / 8), Math.round((height * 3) / 8), Math.round(width / 4), Math.round(height / 4)], kind)
}

/** The click that ends a drag chooses nothing by itself. */
function swallowClick(): void {
  const stop = (event: MouseEvent): void => event.stopPropagation()
  addEventListener('click', stop, { capture: true, once: true })
  setTimeout(() => removeEventListener('click', stop, { capture: true }))
}
/** A drag that begins on a pane chooses the floats that its rectangle meets. */
const lasso = ref<Rect | null>(null)
function gather(event: PointerEvent): void {
  const from = toCanvas(event)
  followPointer(
    (moved) => {
      const rect = between(from, toCanvas(moved))
      lasso.value = Math.max(rect[2], rect[3]) * props.scale > SLACK_SCREEN_PX ? rect : null
    },
    (kept) => {
      const rect = lasso.value
      lasso.value = null
      if (rect) swallowClick()
      if (kept && rect) floats.chooseAll(plans.value.filter((plan) => meets(boxOf(plan.rect, plan.turn), rect)).map((plan) => plan.id))
    },
  )
}
watch(
  () => design.tool,
  (tool) => tool && requestAnimationFrame(() => layer.value?.querySelector<HTMLElement>('.draw-sheet')?.focus()),
)
defineExpose({ gather })
</script>

<template>
  <div ref="layer" class="float-layer" :class="{ quiet: quiet || design.typing, carrying: carried.media }">
    <div
      v-for="plan in plans"
      :key="plan.id"
      class="float"
      :class="{ chosen: design.chosen.includes(plan.id), over: carried.over === plan.id || swapping.over === plan.id }"
      :style="{ ...box(rectOf(plan)), rotate: `${turnOf(plan) / 100}deg` }"
      :data-pane="plan.id"
      :data-float="plan.id">
      <button
        type="button"
        class="float-face"
        :aria-pressed="design.chosen.includes(plan.id)"
        :aria-label="
          t('float.name', {
            letter: plan.letter,
            size: pixels(plan.rect[2], plan.rect[3]),
            fill: t(`fill.${design.documents[plan.id]?.fill.kind ?? 'empty'}`),
          })
        "
        @pointerdown="press(plan, $event)"
        @click="$event.detail === 0 && choose(plan, $event)"
        @keydown="editable && keys(plan, $event)" />
      <span class="pane-label" aria-hidden="true">
        <b :class="{ grip: editable }" @pointerdown="editable && swapByDrag(plan.id, $event)">{{ plan.letter }}</b>
        <span v-if="plan.id === design.selected" class="measure">
          {{ pixels(rectOf(plan)[2], rectOf(plan)[3]) }}{{ turnOf(plan) ? ` · ${degrees(turnOf(plan))}` : '' }}
        </span>
      </span>
      <template v-if="editable && single && plan.id === design.selected && !quiet && !floats.locked(plan.id)">
        <span
          v-for="handle in HANDLES"
          :key="`${handle.x} ${handle.y}`"
          class="pull"
          :class="`x${handle.x} y${handle.y}`"
          aria-hidden="true"
          @pointerdown.prevent.stop="pull(plan, handle, $event)" />
        <span class="turn-knob" aria-hidden="true" @pointerdown.prevent.stop="turn(plan.id, $event)" />
      </template>
    </div>
    <template v-if="drag?.copies">
      <div v-for="(rect, zone) in drag.rects" :key="zone" class="sketched" :style="box(rect)" />
    </template>
    <span
      v-for="guide in drag?.guides ?? []"
      :key="guide.axis"
      class="snap-guide"
      :class="guide.axis"
      :style="guide.axis === 'x' ? { left: `${guide.at * scale}px` } : { top: `${guide.at * scale}px` }">
      <span class="measure">{{ guide.at }} px · {{ t(`snap.${guide.kind}`) }}</span>
    </span>
    <div v-if="lasso" class="sketched" :style="box(lasso)" />
    <div
      v-if="design.tool && editable"
      class="draw-sheet"
      tabindex="0"
      role="button"
      :aria-label="t(`float.draw-${design.tool}`)"
      @pointerdown.prevent="draw"
      @keydown.enter.prevent="drawInMiddle"
      @keydown.esc.stop="design.tool = null">
      <div v-if="drawn" class="sketched" :style="box(drawn)">
        <span class="measure">{{ pixels(drawn[2], drawn[3]) }}</span>
      </div>
    </div>
  </div>
</template>
