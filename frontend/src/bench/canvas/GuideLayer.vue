<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { followPointer } from '../../ui/followPointer'
import { useDesign } from '../store/design'
import { useDrawing } from './drawing'
import { ticksAlong } from './rulers'
import { snapTo } from './snap'
import { useGuides } from '../store/useGuides'

/** Rulers along the canvas, and the guides that are dragged from them; dragged beyond the canvas a guide goes. */
const props = defineProps<{ scale: number; editable: boolean }>()
const { t } = useI18n()
const design = useDesign()
const drawing = useDrawing()
const guides = useGuides()
const root = ref<HTMLElement>()
const axes = ['x', 'y'] as const
const dragged = ref<{ id: string | null; axis: 'x' | 'y'; at: number } | null>(null)
const canvas = computed(() => design.answer?.canvas ?? ([1, 1] as [number, number]))
const ticks = computed(() => ({ x: ticksAlong(canvas.value[0], props.scale), y: ticksAlong(canvas.value[1], props.scale) }))
const at = (guide: { id: string; at: number }): number => (dragged.value?.id === guide.id ? dragged.value.at : guide.at)
const inside = (axis: 'x' | 'y', px: number): boolean => px >= 0 && px <= canvas.value[axis === 'x' ? 0 : 1]

/** A guide of axis x stands upright: it is dragged from the ruler on the left. */
function follow(event: PointerEvent, axis: 'x' | 'y', id: string | null): void {
  if (event.button !== 0 || !props.editable) return
  event.preventDefault()
  event.stopPropagation()
  followPointer(
    (moved) => {
      const sheet = root.value?.getBoundingClientRect()
      const raw = Math.round((axis === 'x' ? moved.clientX - (sheet?.left ?? 0) : moved.clientY - (sheet?.top ?? 0)) / props.scale)
      dragged.value = { id, axis, at: moved.ctrlKey ? raw : snapTo(design.bench.snaps[axis], raw, props.scale, id ? [id] : []) }
    },
    (kept) => {
      const last = dragged.value
      dragged.value = null
      if (!kept || !last) return
      if (inside(axis, last.at)) void guides.put(id ?? design.fresh('i'), axis, last.at)
      else if (id) void guides.remove(id)
    },
  )
}
function keys(guide: { id: string; axis: 'x' | 'y'; at: number }, event: KeyboardEvent): void {
  const by = { ArrowLeft: -1, ArrowUp: -1, ArrowRight: 1, ArrowDown: 1 }[event.key]
  if (by) {
    const to = guide.at + by * (event.shiftKey ? 10 : 1)
    if (inside(guide.axis, to)) void guides.put(guide.id, guide.axis, to)
  } else if (event.key === 'Delete') void guides.remove(guide.id)
  else return
  event.preventDefault()
  event.stopPropagation()
}
const lines = computed(() => [
  ...design.bench.guides.map((guide) => ({ ...guide, at: at(guide) })),
  ...(dragged.value && dragged.value.id === null ? [{ ...dragged.value, id: '' }] : []),
])
</script>

<template>
  <div ref="root" class="guide-layer">
    <template v-if="drawing.rulers">
      <svg
        v-for="axis in axes"
        :key="axis"
        class="ruler"
        :class="axis"
        :width="axis === 'x' ? canvas[0] * scale : 14"
        :height="axis === 'y' ? canvas[1] * scale : 14"
        @pointerdown="follow($event, axis === 'x' ? 'y' : 'x', null)">
        <title>{{ t('drawing.drag-guide') }}</title>
        <path v-if="axis === 'x'" :d="ticks.x.map((tick) => `M${tick.at * scale} 14v${tick.long ? -9 : -4}`).join('')" />
        <path v-else :d="ticks.y.map((tick) => `M14 ${tick.at * scale}h${tick.long ? -9 : -4}`).join('')" />
      </svg>
    </template>
    <div
      v-for="line in lines"
      :key="line.id"
      class="laid-guide"
      :class="line.axis"
      :style="line.axis === 'x' ? { left: `${line.at * scale}px` } : { top: `${line.at * scale}px` }"
      @pointerdown="follow($event, line.axis, line.id)">
      <span
        class="guide-grip"
        role="slider"
        :tabindex="editable ? 0 : -1"
        :aria-orientation="line.axis === 'x' ? 'horizontal' : 'vertical'"
        :aria-valuenow="line.at"
        aria-valuemin="0"
        :aria-valuemax="canvas[line.axis === 'x' ? 0 : 1]"
        :aria-valuetext="`${line.at} px`"
        :aria-label="t(`drawing.guide-${line.axis}`, { at: String(line.at) })"
        @keydown="editable && keys(line, $event)" />
      <span v-if="dragged && dragged.id === (line.id || null)" class="measure">{{ line.at }} px</span>
    </div>
  </div>
</template>
