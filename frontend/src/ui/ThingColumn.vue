<script setup lang="ts">
import { ref, watch } from 'vue'

/** The column beside a drawing; below 900 px a sheet that is drawn up from the lower edge, by itself when it is about something new. */
const props = defineProps<{ label: string; about?: string | null }>()
const drawn = ref(!!props.about)
watch(
  () => props.about,
  (about) => void (drawn.value = !!about),
)
</script>

<template>
  <aside class="column" :class="{ drawn }" :aria-label="label">
    <button type="button" class="column-handle" :aria-expanded="drawn" @click="drawn = !drawn">{{ label }}</button>
    <div class="column-body"><slot /></div>
  </aside>
</template>
