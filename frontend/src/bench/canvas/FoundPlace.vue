<script setup lang="ts">
import { computed } from 'vue'
import { useDesign } from '../store/design'

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
  min-width: 12px;
  min-height: 12px;
  border: 2px solid #a86a00;
  outline: 1px solid #fffdf8;
  box-shadow: 0 0 0 3px #0c1216;
  pointer-events: none;
}
</style>
