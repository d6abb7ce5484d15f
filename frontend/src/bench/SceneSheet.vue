<script setup lang="ts">
import { vBTooltip } from 'bootstrap-vue-next'

/**
 * One scene, or one of its layouts, as a small sheet of its true ratio; the rest scene has a heavier foot, one outside the round is dashed.
 */
defineProps<{ size: [number, number]; current: boolean; rest: boolean; outside?: boolean; name: string; length: string; label: string }>()
const emit = defineEmits<{ open: [] }>()
</script>

<template>
  <button
    v-b-tooltip="name"
    type="button"
    class="scene-sheet"
    :class="{ current, rest, outside }"
    :aria-pressed="current"
    :style="{ aspectRatio: size.join(' / ') }"
    :aria-label="label"
    @click="emit('open')">
    <span>{{ `${name} ` }}</span>
    <span v-if="length" class="measure">{{ length }}</span>
  </button>
</template>
