<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Rect } from '../../plan/types'

/** Faces marked on a picture, in ppm of it: drawn with the pointer, or by numbers in %; the preflight finds those that fall on a seam. */
const props = defineProps<{ faces: Rect[]; picture: string }>()
const emit = defineEmits<{ set: [faces: Rect[]] }>()
const { t } = useI18n()
const WHOLE_PPM = 1_000_000
const PERCENT_PPM = 10_000
const drawn = ref<Rect | null>(null)
let start: [number, number] | null = null

function point(event: PointerEvent): [number, number] {
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
  const along = (at: number, from: number, length: number): number =>
    Math.min(WHOLE_PPM, Math.max(0, Math.round(((at - from) / length) * WHOLE_PPM)))
  return [along(event.clientX, box.left, box.width), along(event.clientY, box.top, box.height)]
}
function down(event: PointerEvent): void {
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
  start = point(event)
}
function move(event: PointerEvent): void {
  if (!start) return
  const [x, y] = point(event)
  drawn.value = [Math.min(start[0], x), Math.min(start[1], y), Math.abs(x - start[0]), Math.abs(y - start[1])]
}
function up(): void {
  const face = drawn.value
  start = drawn.value = null
  if (face && face[2] > 0 && face[3] > 0) emit('set', [...props.faces, face])
}
const cancel = (): void => void (start = drawn.value = null)
function side(index: number, at: number, event: Event): void {
  const face = [...(props.faces[index] ?? [])] as Rect
  face[at] = Math.round(Number((event.target as HTMLInputElement).value) * PERCENT_PPM)
  emit(
    'set',
    props.faces.map((one, which) => (which === index ? face : one)),
  )
}
const box = (face: Rect): Record<string, string> => ({
  left: `${face[0] / PERCENT_PPM}%`,
  top: `${face[1] / PERCENT_PPM}%`,
  width: `${face[2] / PERCENT_PPM}%`,
  height: `${face[3] / PERCENT_PPM}%`,
})
</script>

<template>
  <details class="face-marks" :open="faces.length > 0">
    <summary>{{ t('faces.title', { count: faces.length }) }}</summary>
    <p class="hint">{{ t('faces.hint') }}</p>
    <div class="face-picture" @pointerdown.prevent="down" @pointermove="move" @pointerup="up" @pointercancel="cancel">
      <img :src="picture" alt="" draggable="false" />
      <span v-for="(face, index) in faces" :key="index" class="face" :style="box(face)">{{ index + 1 }}</span>
      <span v-if="drawn" class="face" :style="box(drawn)" />
    </div>
    <div v-for="(face, index) in faces" :key="index" class="face-row">
      <b>{{ index + 1 }}</b>
      <BFormInput
        size="sm"
        v-for="(corner, at) in ['x', 'y', 'width', 'height']"
        :key="corner"
        class="measure"
        type="number"
        min="0"
        max="100"
        step="0.1"
        :aria-label="t('faces.side', { number: String(index + 1), side: t(`shape.${corner}`) })"
        :model-value="face[at]! / PERCENT_PPM"
        @change="side(index, at, $event)" />
      <button
        type="button"
        class="plain"
        :aria-label="t('faces.remove', { number: String(index + 1) })"
        @click="
          emit(
            'set',
            faces.filter((_, which) => which !== index),
          )
        ">
        ×
      </button>
    </div>
    <button type="button" class="btn btn-sm btn-outline-dark" @click="emit('set', [...faces, [400_000, 300_000, 200_000, 300_000]])">
      {{ t('faces.add') }}
    </button>
  </details>
</template>
