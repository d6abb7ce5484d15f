<script setup lang="ts">
import { BFormCheckbox, BFormInput, BFormSelect } from 'bootstrap-vue-next'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Rect } from '../../plan/types'
import { followPointer } from '../../ui/followPointer'
import PartRefusal from '../aside/PartRefusal.vue'
import { largest, moved, sized } from './cropBox'

/** The part of a picture that is shown: drawn on it with a free or a fixed ratio, or by its px. */
const props = defineProps<{ crop: Rect | null; picture: string; size: [number, number]; zone: [number, number] | null }>()
const emit = defineEmits<{ set: [crop: Rect | null] }>()
const { t } = useI18n()
const WHOLE = 1_000_000
const CORNERS: [number, number][] = [
  [-1, -1],
  [1, -1],
  [-1, 1],
  [1, 1],
]
const RATIOS: [number, number][] = [
  [1, 1],
  [4, 3],
  [3, 2],
  [16, 9],
  [9, 16],
]
const kept = ref(props.zone ? 'zone' : 'source')
const drawn = ref<Rect | null>(null)
const shown = computed(() => drawn.value ?? props.crop)
const ratio = computed((): number | null => {
  const sides =
    kept.value === 'zone' ? props.zone : kept.value === 'source' ? props.size : RATIOS.find((one) => one.join(':') === kept.value)
  return sides ? (sides[0] / sides[1]) * (props.size[1] / props.size[0]) : null
})
const px = computed(() => shown.value?.map((ppm, at) => Math.round((ppm * props.size[at % 2]!) / WHOLE)))
const box = computed(() => {
  const [left, top, width, height] = (shown.value ?? largest(null)).map((ppm) => `${ppm / 10_000}%`)
  return { left, top, width, height }
})

function choose(event: Event): void {
  kept.value = (event.target as HTMLSelectElement).value
  if (ratio.value !== null) emit('set', largest(ratio.value))
}
function press(event: PointerEvent, corner: [number, number] | null): void {
  const [from, sheet] = [props.crop, (event.target as HTMLElement).closest('.crop-picture')?.getBoundingClientRect()]
  if (!from || !sheet) return
  const [startX, startY] = [event.clientX, event.clientY]
  followPointer(
    (now) => {
      const by = [((now.clientX - startX) / sheet.width) * WHOLE, ((now.clientY - startY) / sheet.height) * WHOLE] as const
      drawn.value = corner ? sized(from, corner, ...by, ratio.value) : moved(from, ...by)
    },
    (keep) => {
      const made = drawn.value
      drawn.value = null
      if (keep && made) emit('set', made)
    },
  )
}
/** By arrows 1 %, with Shift 10 %. */
function shift(event: KeyboardEvent): void {
  const steps: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }
  const step = steps[event.key]
  if (!step || !props.crop) return
  event.preventDefault()
  const far = event.shiftKey ? 100_000 : 10_000
  emit('set', moved(props.crop, step[0] * far, step[1] * far))
}
function side(at: number, event: Event): void {
  const value = Math.round((Number((event.target as HTMLInputElement).value) * WHOLE) / props.size[at % 2]!)
  if (props.crop) emit('set', props.crop.map((was, which) => (which === at ? value : was)) as Rect)
}
</script>

<template>
  <div class="crop-fields">
    <BFormCheckbox :model-value="crop !== null" @update:model-value="emit('set', $event ? largest(ratio) : null)">
      {{ t('crop.on') }}
    </BFormCheckbox>
    <template v-if="crop && px">
      <label>
        {{ t('crop.ratio') }}
        <BFormSelect size="sm" :model-value="kept" @change="choose">
          <option v-if="zone" value="zone">{{ t('crop.zone', { ratio: zone.join(' : ') }) }}</option>
          <option value="source">{{ t('crop.source') }}</option>
          <option v-for="one in RATIOS" :key="one.join(':')" :value="one.join(':')">{{ one.join(' : ') }}</option>
          <option value="free">{{ t('crop.free') }}</option>
        </BFormSelect>
      </label>
      <div class="crop-picture">
        <img :src="picture" alt="" draggable="false" />
        <button
          type="button"
          class="crop-frame"
          :style="box"
          :aria-label="t('crop.frame')"
          @pointerdown.prevent.stop="press($event, null)"
          @keydown="shift">
          <span
            v-for="corner in CORNERS"
            :key="corner.join()"
            class="crop-corner"
            :style="{ left: corner[0] < 0 ? '0' : '100%', top: corner[1] < 0 ? '0' : '100%' }"
            :data-corner="corner.join()"
            @pointerdown.prevent.stop="press($event, corner)" />
        </button>
      </div>
      <div class="crop-row">
        <BFormInput
          v-for="(word, at) in ['x', 'y', 'width', 'height']"
          :key="word"
          size="sm"
          class="measure"
          type="number"
          min="0"
          :max="size[at % 2]"
          :aria-label="t('crop.side', { side: t(`shape.${word}`) })"
          :model-value="px[at]"
          @change="side(at, $event)" />
        <span class="hint">px</span>
      </div>
      <PartRefusal field="crop" :parts="size.concat(size).map((side) => WHOLE / side)" unit="px" whole />
    </template>
  </div>
</template>

<style scoped>
.crop-fields {
  margin: 0.4rem 0;
}
.crop-picture {
  position: relative;
  overflow: hidden;
  margin: 0.3rem 0;
  line-height: 0;
  touch-action: none;
}
.crop-picture img {
  width: 100%;
}
.crop-frame {
  position: absolute;
  padding: 0;
  border: 1px solid #f4f1ea;
  outline: 1px solid #1d2a33;
  background: transparent;
  box-shadow: 0 0 0 100rem rgb(12 18 22 / 60%);
  cursor: move;
}
.crop-frame:focus-visible {
  outline: 2px solid var(--oxide);
}
.crop-corner {
  position: absolute;
  width: 0.75rem;
  height: 0.75rem;
  margin: -0.375rem;
  border: 1px solid #1d2a33;
  background: #f4f1ea;
  cursor: crosshair;
}
.crop-row {
  display: flex;
  align-items: center;
  gap: 0.3rem;
}
</style>
