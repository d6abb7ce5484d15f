<script setup lang="ts">
import { computed } from 'vue'
import { useDesign } from './design'

/** Where what was found of the chosen zone is worst. */
const props = defineProps<{ scale: number }>()
const design = useDesign()
const places = computed(() =>
  (design.selected && design.layout === 'own' ? (design.findings[design.selected] ?? []) : []).flatMap((finding) => {
    const [x, y, width, height] = (finding.params['at'] ?? '').split(' ').map(Number)
    return width && height ? [{ x: x!, y: y!, width, height }] : []
  }),
)
</script>

<template>
  <span
    v-for="(place, index) in places"
    :key="index"
    class="found-place"
    :style="{
      left: `${place.x * props.scale}px`,
      top: `${place.y * props.scale}px`,
      width: `${place.width * props.scale}px`,
      height: `${place.height * props.scale}px`,
    }" />
</template>

<style scoped>
.found-place {
  position: absolute;
  z-index: 5;
  border: 2px dashed #0c1216;
  outline: 2px dashed #f6e3c2;
  outline-offset: -2px;
  pointer-events: none;
}
</style>
