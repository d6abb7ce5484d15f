<script setup lang="ts">
import { BDropdown, BDropdownItem, BDropdownText } from 'bootstrap-vue-next'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Use } from '../api/uses'
import RefusalNote from './RefusalNote.vue'

/** Where something is used, as a list that leads there; asked for when it is opened. */
const props = defineProps<{ text: string; load: () => Promise<Use[]> }>()
const { t } = useI18n()
const uses = ref<Use[] | null>(null)
const error = ref<unknown>(null)
async function open(): Promise<void> {
  try {
    uses.value = await props.load()
    error.value = null
  } catch (refused) {
    error.value = refused
  }
}
</script>

<template>
  <BDropdown variant="link" size="sm" class="where-used" toggle-class="plain" no-caret :text="text" @show="open">
    <RefusalNote :error="error" />
    <BDropdownText v-if="uses && !uses.length">{{ t('uses.none') }}</BDropdownText>
    <template v-for="use in uses ?? []" :key="use.id">
      <BDropdownItem v-if="use.kind === 'design'" :to="{ name: 'bench', params: { design: use.id } }">{{ use.name }}</BDropdownItem>
      <BDropdownText v-else>{{ use.name }}</BDropdownText>
    </template>
  </BDropdown>
</template>

<style scoped>
.where-used :deep(.btn) {
  padding: 0;
  min-height: 24px;
  color: inherit;
  font-size: 0.8125rem;
}
.where-used :deep(.dropdown-menu) {
  max-height: 16rem;
  overflow: auto;
}
</style>
