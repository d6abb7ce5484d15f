<script setup lang="ts">
/** Small signs of a layer's states: a pane with or without its glass, a latch shut or open. */
defineProps<{ what: 'hidden' | 'locked'; on: boolean }>()
</script>

<template>
  <svg viewBox="0 0 16 16" width="16" height="16" fill="none" stroke="currentColor" stroke-width="1.5" aria-hidden="true">
    <template v-if="what === 'hidden'">
      <rect x="2" y="3" width="12" height="10" :stroke-dasharray="on ? '2 2' : undefined" />
      <path v-if="!on" d="M5 10 10 5 M8 11 12 7" />
    </template>
    <template v-else>
      <rect x="3" y="7" width="10" height="7" :fill="on ? 'currentColor' : 'none'" />
      <path :d="on ? 'M5 7V5a3 3 0 0 1 6 0v2' : 'M5 7V5a3 3 0 0 1 5.5-1.5'" />
    </template>
  </svg>
</template>
