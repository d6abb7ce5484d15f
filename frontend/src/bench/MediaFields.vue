<script setup lang="ts">
import { BFormCheckbox, BFormInput, BFormRadio } from 'bootstrap-vue-next'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { FitMode, MediaFill } from '../api/types'
import type { Item } from '../plan/types'
import { useUploads } from '../stock/uploads'
import { percent, pixels, seconds } from '../ui/format'
import ColourField from './ColourField.vue'
import FaceMarks from './FaceMarks.vue'

const props = defineProps<{ fill: MediaFill; item: Item | undefined }>()
const emit = defineEmits<{ set: [part: Partial<MediaFill>, target: string] }>()
const { t } = useI18n()
const stock = useUploads()
const fits: FitMode[] = ['contain', 'cover', 'stretch', 'none']
const media = computed(() => stock.find(props.fill.media))

function focus(axis: 0 | 1, event: Event): void {
  const typed = Math.round(Number((event.target as HTMLInputElement).value) * 1000)
  emit('set', { focus: axis === 0 ? [typed, props.fill.focus[1]] : [props.fill.focus[0], typed] }, 'focus')
}
/** A click on the picture sets the focal point there. */
function point(event: MouseEvent): void {
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
  <div v-if="media" class="media-facts">
    <button type="button" class="focus-picture" :aria-label="`${t('fill.focus-x')}, ${t('fill.focus-y')}`" @click="point">
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
    <template v-if="item.cut_ppm > 0">{{ percent(item.cut_ppm / 1e6) }} {{ t('bench.cut') }}</template>
    <template v-else>{{ t('bench.seen') }}</template>
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
  <FaceMarks
    v-if="media"
    :faces="fill.faces ?? []"
    :picture="`/media/${media.sha256}/thumbnail`"
    @set="(faces) => emit('set', { faces }, 'faces')" />
  <ColourField :label="t('fill.ground')" :value="fill.ground" @set="(ground) => emit('set', { ground }, 'ground')" />
  <BFormCheckbox
    v-if="fill.kind === 'video'"
    :model-value="fill.sound"
    @update:model-value="(on) => emit('set', { sound: on === true }, 'sound')">
    {{ t('fill.sound') }}
  </BFormCheckbox>
</template>
