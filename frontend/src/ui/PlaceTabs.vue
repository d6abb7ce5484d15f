<script setup lang="ts">
import { nextTick, useTemplateRef } from 'vue'

/**
 * Tabs above a panel that the place fills itself, as the ARIA pattern has it: arrows move the choice and the focus together. The
 * library's tabs own their panels and draw all of them, which a column with a canvas beside it cannot afford.
 */
const props = defineProps<{
  tabs: readonly string[]
  label: string
  words: (tab: string) => string
  panel: string
  counts?: Record<string, number>
}>()
const chosen = defineModel<string>({ required: true })
const list = useTemplateRef<HTMLElement>('list')

async function walk(by: number): Promise<void> {
  chosen.value = props.tabs[(props.tabs.indexOf(chosen.value) + by + props.tabs.length) % props.tabs.length] ?? chosen.value
  await nextTick()
  list.value?.querySelector<HTMLElement>('[aria-selected=true]')?.focus()
}
</script>

<template>
  <div ref="list" class="tabs" role="tablist" :aria-label="label">
    <button
      v-for="one in tabs"
      :id="`${panel}-${one}`"
      :key="one"
      type="button"
      role="tab"
      :aria-selected="chosen === one"
      :aria-controls="panel"
      :tabindex="chosen === one ? 0 : -1"
      @click="chosen = one"
      @keydown.right.prevent="walk(1)"
      @keydown.left.prevent="walk(-1)">
      {{ words(one) }}
      <span v-if="counts?.[one]" class="count">{{ counts[one] }}</span>
    </button>
  </div>
</template>
