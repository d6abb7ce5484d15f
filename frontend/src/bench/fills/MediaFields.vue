<script setup lang="ts">
import { BFormCheckbox, BFormInput, BFormRadio, BFormSelect } from 'bootstrap-vue-next'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { FitMode, MediaFill } from '../../api/types'
import type { Item } from '../../plan/types'
import type { Section } from './fillParts'
import { useUploads } from '../../stock/uploads'
import { fileSize, percent, pixels, seconds } from '../../ui/format'
import ClipFields from './ClipFields.vue'
import CropFields from './CropFields.vue'
import FaceMarks from '../canvas/FaceMarks.vue'
import GroundField from './GroundField.vue'
import PartRefusal from '../aside/PartRefusal.vue'
import TrimFields from './TrimFields.vue'

/** `part`: which section of the particulars it stands in; without one, all of it. */
const props = defineProps<{
  fill: MediaFill
  item: Item | undefined
  plain?: boolean
  zone?: [number, number] | undefined
  part?: Section | undefined
}>()
const shows = (part: Section): boolean => props.part === undefined || props.part === part
const emit = defineEmits<{ set: [part: Partial<MediaFill>, target: string] }>()
const { t } = useI18n()
const stock = useUploads()
const fits: FitMode[] = ['contain', 'cover', 'stretch', 'none']
const media = computed(() => stock.find(props.fill.media))

/** What players get, and of how much. */
const delivered = computed(() => {
  const made = props.item && 'delivered' in props.item ? props.item.delivered : undefined
  if (!made) return media.value ? t('fill.delivered-whole', { size: fileSize(media.value.bytes) }) : ''
  return t('fill.delivered-of', { px: pixels(...made.px), size: fileSize(made.bytes), of: fileSize(made.of) })
})
const quality = (event: Event): void =>
  emit('set', { quality: (event.target as HTMLSelectElement).value as 'usual' | 'small' | 'original' }, 'quality')
function focus(axis: 0 | 1, event: Event): void {
  const typed = Math.round(Number((event.target as HTMLInputElement).value) * 1000)
  emit('set', { focus: axis === 0 ? [typed, props.fill.focus[1]] : [props.fill.focus[0], typed] }, 'focus')
}
/** By arrows: 1 % of the picture, with Shift 10 %. */
function shift(event: KeyboardEvent): void {
  const steps: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }
  const step = steps[event.key]
  if (!step) return
  event.preventDefault()
  const far = event.shiftKey ? 10_000 : 1000
  const within = (at: number): number => Math.min(100_000, Math.max(0, at))
  emit('set', { focus: [within(props.fill.focus[0] + step[0] * far), within(props.fill.focus[1] + step[1] * far)] }, 'focus')
}
/** A click on the picture sets the focal point there. */
function point(event: MouseEvent): void {
  // Enter and Space are clicks without a place.
  if (event.detail === 0) return
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
  emit(
    'set',
    {
      focus: [
        Math.round(((event.clientX - box.left) / box.width) * 100) * 1000,
        Math.round(((event.clientY - box.top) / box.height) * 100) * 1000,
      ],
    },
    'focus',
  )
}
</script>

<template>
  <template v-if="shows('fill')">
    <div v-if="media" class="media-facts">
      <button
        type="button"
        class="focus-picture"
        :aria-label="`${t('fill.focus-x')}, ${t('fill.focus-y')}`"
        @click="point"
        @keydown="shift">
        <img :src="`/media/${media.sha256}/thumbnail`" alt="" draggable="false" />
        <span class="focus-mark" :style="{ left: `${fill.focus[0] / 1000}%`, top: `${fill.focus[1] / 1000}%` }" />
      </button>
      <p>
        <strong>{{ media.name }}</strong>
        <br />
        <span v-if="media.size" class="measure">
          {{ pixels(...media.size) }}
          <template v-if="media.duration_ms">· {{ seconds(media.duration_ms) }}</template>
        </span>
      </p>
    </div>
    <div class="choices" role="radiogroup" :aria-label="t('fill.fit')">
      <BFormRadio
        v-for="one in fits"
        :key="one"
        name="fit"
        inline
        :value="one"
        :model-value="fill.fit"
        @update:model-value="emit('set', { fit: one }, 'fit')">
        {{ t(`fill.${one}`) }}
      </BFormRadio>
    </div>
    <p v-if="item && 'cut_ppm' in item" class="measure" role="status">
      {{ item.cut_ppm > 0 ? `${percent(item.cut_ppm / 1e6)} ${t('bench.cut')}` : t('bench.seen') }}
      <template v-if="media?.size">· {{ t('fill.of-px', { seen: pixels(...item.seen_px), whole: pixels(...media.size) }) }}</template>
      · × {{ (item.scale_ppm / 1e6).toFixed(2) }}
    </p>
    <div class="field-row">
      <label>
        {{ t('fill.focus-x') }}
        <BFormInput
          size="sm"
          class="measure"
          type="number"
          min="0"
          max="100"
          :model-value="fill.focus[0] / 1000"
          @change="focus(0, $event)" />
      </label>
      <label>
        {{ t('fill.focus-y') }}
        <BFormInput
          size="sm"
          class="measure"
          type="number"
          min="0"
          max="100"
          :model-value="fill.focus[1] / 1000"
          @change="focus(1, $event)" />
      </label>
    </div>
    <PartRefusal field="focus" :parts="[1000, 1000]" unit="%" />
    <CropFields
      v-if="media?.size"
      :key="media.id"
      :crop="fill.crop ?? null"
      :picture="`/media/${media.sha256}/thumbnail`"
      :size="media.size"
      :zone="zone ?? null"
      @set="(crop) => emit('set', { crop }, 'crop')" />
  </template>
  <template v-if="shows('look')">
    <label v-if="fill.kind === 'picture'">
      {{ t('fill.delivered') }}
      <BFormSelect size="sm" :model-value="fill.quality ?? 'usual'" @change="quality">
        <option v-for="one in ['usual', 'small', 'original']" :key="one" :value="one">{{ t(`fill.delivered-${one}`) }}</option>
      </BFormSelect>
      <span v-if="media" class="measure hint">{{ delivered }}</span>
    </label>
    <ClipFields v-if="!plain" :clip="fill.clip ?? null" @set="(clip) => emit('set', { clip }, 'clip')" />
    <FaceMarks
      v-if="media && !plain"
      :faces="fill.faces ?? []"
      :picture="`/media/${media.sha256}/thumbnail`"
      @set="(faces) => emit('set', { faces }, 'faces')" />
    <GroundField :value="fill.ground" @set="(ground) => emit('set', { ground }, 'ground')" />
    <BFormCheckbox
      v-if="fill.kind === 'picture'"
      :model-value="fill.behind === 'blurred'"
      @update:model-value="(on) => emit('set', { behind: on ? 'blurred' : null }, 'behind')">
      {{ t('fill.behind') }}
    </BFormCheckbox>
  </template>
  <template v-if="shows('time')">
    <TrimFields
      v-if="fill.kind === 'video' && media?.duration_ms"
      :fill="fill"
      :duration-ms="media.duration_ms"
      @set="(part, target) => emit('set', part, target)" />
    <BFormCheckbox
      v-if="fill.kind === 'video'"
      :model-value="fill.sound"
      @update:model-value="(on) => emit('set', { sound: on === true }, 'sound')">
      {{ t('fill.sound') }}
    </BFormCheckbox>
  </template>
</template>
