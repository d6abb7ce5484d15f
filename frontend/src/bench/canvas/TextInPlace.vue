<script setup lang="ts">
import { computed, nextTick, onMounted, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { TextFill } from '../../api/types'
import { faceName } from '../../plan/faces'
import type { ZonePlan } from '../../plan/types'
import { useDesign } from '../store/design'
import { useTypedWords } from '../fills/useTypedWords'

/** The words of a zone, written where they stand; when it is left, the lines are the core's again. */
const props = defineProps<{ plan: ZonePlan; fill: TextFill; scale: number }>()
const emit = defineEmits<{ done: [] }>()
const { t } = useI18n()
const design = useDesign()
const area = useTemplateRef<HTMLTextAreaElement>('area')
const FIRST_GROUND = '#1D2A33'

const item = computed(() => {
  const first = props.plan.items[0]
  return first?.kind === 'text' ? first : undefined
})
const frame = computed(() => {
  const [x, y, width, height] = props.plan.rect
  return {
    left: `${x * props.scale}px`,
    top: `${y * props.scale}px`,
    width: `${width * props.scale}px`,
    height: `${height * props.scale}px`,
    transform: props.plan.turn ? `rotate(${props.plan.turn / 100}deg)` : '',
  }
})
/** At the px of the canvas, so that letters are as large as they are drawn. */
const sheet = computed(() => {
  const [, , width, height] = props.plan.rect
  const look = item.value
  const size = look?.size ?? props.fill.size
  const line = look ? look.line_mpx / 1000 : 1.2 * size
  const above = (look?.lines[0]?.y_mpx ?? 0) / 1000
  return {
    width: `${width}px`,
    height: `${height}px`,
    padding: `${Math.max(0, above)}px ${props.fill.padding}px 0`,
    transform: `scale(${props.scale})`,
    font: `${look?.weight ?? 400} ${size}px/${line}px "${faceName(props.fill.font)}"`,
    letterSpacing: look?.spacing_mpx ? `${look.spacing_mpx / 1000}px` : '',
    textAlign: ({ left: 'left', centre: 'center', right: 'right' } as const)[props.fill.align],
    whiteSpace: props.fill.mode.startsWith('wrap') && !props.fill.ticker ? 'pre-wrap' : 'pre',
    color: props.fill.colour,
    background: props.fill.plate?.colour ?? props.fill.ground ?? FIRST_GROUND,
  } as const
})

const { typed, type } = useTypedWords(
  () => props.fill,
  (words) => void design.setFill(props.plan.id, { ...props.fill, ...words }, `${props.plan.id}:words`),
)
function keys(event: KeyboardEvent): void {
  event.stopPropagation()
  if (event.key !== 'Escape') return
  event.preventDefault()
  emit('done')
}
onMounted(async () => {
  await nextTick()
  area.value?.focus()
  area.value?.select()
})
</script>

<template>
  <div class="text-in-place" :style="frame" @pointerdown.stop @dblclick.stop>
    <textarea
      ref="area"
      v-model="typed"
      class="text-in-place-area"
      maxlength="5000"
      :aria-label="t('fill.write-here', { letter: plan.letter })"
      :style="sheet"
      @input="type"
      @keydown="keys"
      @keyup.stop
      @blur="emit('done')" />
  </div>
</template>

<style scoped>
.text-in-place {
  position: absolute;
  overflow: hidden;
  z-index: 6;
}
.text-in-place-area {
  position: absolute;
  top: 0;
  left: 0;
  transform-origin: 0 0;
  border: 0;
  resize: none;
  overflow: hidden;
  outline: none;
  font-kerning: normal;
}
</style>
