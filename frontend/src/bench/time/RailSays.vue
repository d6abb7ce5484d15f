<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { seconds } from '../../ui/format'
import { useDesign } from '../store/design'

/** When all lanes of the open scene begin anew together, and what its end cuts, by how much. */
const { t } = useI18n()
const design = useDesign()
const scene = computed(() => design.scenes[design.scene])
const meets = computed(() => {
  if (!scene.value || scene.value.lanes < 2) return ''
  return scene.value.meets_ms === null ? t('rail.meets-late') : t('rail.meets', { time: seconds(scene.value.meets_ms) })
})
const cuts = computed(() =>
  (scene.value?.cut ?? []).map(({ zone, entry, entry_left_ms }) =>
    t('rail.cuts', { letter: design.documents[zone]?.letter ?? '', entry: entry + 1, time: seconds(entry_left_ms) }),
  ),
)
</script>

<template>
  <p v-if="meets" class="hint rail-says">{{ meets }}</p>
  <p v-for="cut in cuts" :key="cut" class="rail-says rail-cut">{{ cut }}</p>
</template>

<style scoped>
.rail-says {
  margin: 0.2rem 0 0;
  font-size: 0.75rem;
}
.rail-cut {
  color: var(--caution-ink, var(--ink));
}
</style>
