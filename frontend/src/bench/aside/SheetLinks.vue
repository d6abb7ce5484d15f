<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useDesign } from '../store/design'

/** What is sent to whoever makes the art, or to another program, as it stands now. */
const { t } = useI18n()
const design = useDesign()
const kinds = ['pdf', 'csv', 'svg', 'smil'] as const
const address = computed(() => (kind: string) => `/api/designs/${design.id}/sheet.${kind}?scene=${encodeURIComponent(design.scene)}`)
</script>

<template>
  <ul class="lines sheet-links">
    <li v-for="kind in kinds" :key="kind" class="line">
      <a :href="address(kind)" download>{{ t(`sheets.${kind}`) }}</a>
      <span class="hint">{{ t(`sheets.${kind}-hint`) }}</span>
    </li>
  </ul>
  <p class="hint">{{ t('sheets.now', { revision: String(design.revision) }) }}</p>
</template>
