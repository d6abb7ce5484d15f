<script setup lang="ts">
import { vBTooltip } from 'bootstrap-vue-next'
import { computed } from 'vue'
import type { SceneLine } from '../../api/types'

/**
 * One scene, or one of its layouts, as a small sheet of its true ratio with its panes in the colours of what they show;
 * the rest scene has a heavier foot, one outside the round is dashed, the one that plays carries the pulse mark.
 */
const props = defineProps<{
  size: [number, number]
  current: boolean
  rest: boolean
  outside?: boolean
  plays?: boolean
  name: string
  length: string
  label: string
  scene?: SceneLine | undefined
}>()
const shown = computed(() =>
  (props.scene?.sketch_order ?? []).flatMap((zone) => {
    const one = props.scene?.sketch[zone]
    return one ? [[zone, one] as const] : []
  }),
)
const emit = defineEmits<{ open: [] }>()
</script>

<template>
  <button
    v-b-tooltip.bottom="name"
    type="button"
    class="scene-sheet"
    :class="{ current, rest, outside, plays }"
    :aria-pressed="current"
    :aria-label="label"
    @click="emit('open')">
    <svg :viewBox="`0 0 ${size[0]} ${size[1]}`" aria-hidden="true" :style="{ aspectRatio: size.join(' / ') }">
      <rect
        v-for="[zone, one] in shown"
        :key="zone"
        :x="one.rect[0]"
        :y="one.rect[1]"
        :width="one.rect[2]"
        :height="one.rect[3]"
        :class="one.kind"
        :fill="one.colour ?? undefined" />
    </svg>
    <span class="sheet-words">
      <span>{{ `${name} ` }}</span>
      <span v-if="length" class="measure">{{ length }}</span>
    </span>
  </button>
</template>

<style scoped>
svg {
  height: 100%;
  max-width: 84px;
  background: #0c1216;
  flex: none;
}
rect {
  stroke: var(--sheet);
  stroke-width: 1.5;
  vector-effect: non-scaling-stroke;
}
rect.picture,
rect.video {
  fill: #5b88a5;
}
rect.empty {
  fill: var(--sheet);
  stroke: var(--edge);
}
rect:not([fill]):not(.picture):not(.video):not(.empty) {
  fill: #4d5a62;
}
.sheet-words {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  min-width: 0;
  max-width: 7rem;
}
.plays .sheet-words::after {
  content: '';
  width: 7px;
  height: 7px;
  border-radius: 50%;
  background: var(--verdigris);
}
</style>
