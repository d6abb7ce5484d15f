<script setup lang="ts">
/** A finding's severity has a shape as well as a colour: octagon, triangle, circle. */
defineProps<{ severity: 'stop' | 'caution' | 'note' }>()
</script>

<template>
  <svg class="finding-mark" :class="severity" viewBox="0 0 20 20" width="16" height="16" role="img" :aria-label="severity">
    <path v-if="severity === 'stop'" d="M6.2 1h7.6L19 6.2v7.6L13.8 19H6.2L1 13.8V6.2z" />
    <path v-else-if="severity === 'caution'" d="M10 1.5 19 18H1z" />
    <circle v-else cx="10" cy="10" r="8.5" />
  </svg>
</template>
