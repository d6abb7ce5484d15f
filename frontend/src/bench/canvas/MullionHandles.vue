<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Mullion } from '../../api/types'
import { useDesign } from '../store/design'
import type { Drag } from './useMullionDrag'

const props = defineProps<{ scale: number; drag: Drag | null; editable: boolean }>()
const emit = defineEmits<{ start: [mullion: Mullion, event: PointerEvent]; nudge: [mullion: Mullion, by: number, alone: boolean] }>()
const { t, locale } = useI18n()
const design = useDesign()

const moved = (mullion: Mullion): number => {
  const drag = props.drag
  if (!drag) return mullion.at
  const along = drag.alone ? drag.mullion.after === mullion.after : drag.mullion.linked.includes(mullion.after)
  return along ? drag.at : mullion.at
}
function box(mullion: Mullion): Record<string, string> {
  const at = `${(moved(mullion) + mullion.gutter / 2) * props.scale}px`
  const from = `${mullion.from * props.scale}px`
  const length = `${(mullion.to - mullion.from) * props.scale}px`
  return mullion.axis === 'x' ? { left: at, top: from, height: length } : { left: from, top: at, width: length }
}
const letters = (zones: string[]): string => zones.map((zone) => design.zones[zone]?.letter ?? '').join(', ')
/** What both parts come to: the linear rule that came with the plan. */
const lengthOf = (mullion: Mullion, side: 0 | 1): number =>
  side === 0 ? moved(mullion) - mullion.start : mullion.end - moved(mullion) - mullion.gutter
function press(mullion: Mullion, event: PointerEvent): void {
  if (!props.editable) return
  if (event.currentTarget instanceof HTMLElement) event.currentTarget.focus()
  // Beside a locked part a line stays.
  if (mullion.linked_range[0] < mullion.linked_range[1]) emit('start', mullion, event)
}
function keys(mullion: Mullion, event: KeyboardEvent): void {
  const steps: Record<string, number> = mullion.axis === 'x' ? { ArrowLeft: -1, ArrowRight: 1 } : { ArrowUp: -1, ArrowDown: 1 }
  const step = steps[event.key]
  if (step === undefined || !props.editable) return
  event.preventDefault()
  emit('nudge', mullion, step * (event.shiftKey ? 10 : 1), event.altKey)
}
</script>

<template>
  <div class="mullion-layer">
    <div
      v-for="mullion in design.bench.mullions"
      :key="mullion.after"
      v-memo="[mullion, locale, scale, editable, moved(mullion), drag?.mullion.after === mullion.after]"
      class="mullion"
      :class="[mullion.axis, { dragged: drag && moved(mullion) !== mullion.at, still: !editable }]"
      :style="box(mullion)"
      role="slider"
      :tabindex="editable ? 0 : -1"
      :aria-orientation="mullion.axis === 'x' ? 'horizontal' : 'vertical'"
      :aria-valuenow="moved(mullion)"
      :aria-valuemin="mullion.linked_range[0]"
      :aria-valuemax="mullion.linked_range[1]"
      :aria-valuetext="`${moved(mullion)} px`"
      :aria-label="t('bench.mullion', { before: letters(mullion.between[0]), after: letters(mullion.between[1]), at: String(mullion.at) })"
      :data-mullion="mullion.after"
      @pointerdown.prevent="press(mullion, $event)"
      @keydown="keys(mullion, $event)">
      <span v-if="drag && drag.mullion.after === mullion.after" class="live measure" aria-hidden="true">
        <b>{{ lengthOf(mullion, 0) }}</b>
        <b>{{ lengthOf(mullion, 1) }} px</b>
      </span>
    </div>
  </div>
</template>
