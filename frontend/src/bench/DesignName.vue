<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next'
import { nextTick, ref, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { useDesign } from './store/design'

/** The design's name; a click on it, or Enter, lets it be typed anew. Escape leaves it as it is. */
defineProps<{ editable: boolean }>()
const { t } = useI18n()
const design = useDesign()
const typed = ref<string | null>(null)
const field = useTemplateRef<{ focus: () => void }>('field')

async function begin(): Promise<void> {
  typed.value = design.answer?.name ?? ''
  await nextTick()
  field.value?.focus()
}
function keep(): void {
  const name = typed.value?.trim() ?? ''
  typed.value = null
  if (name !== '' && name !== design.answer?.name) void design.send([{ do: 'design.name', name }])
}
</script>

<template>
  <h1 v-if="typed === null">
    <button v-if="editable" type="button" class="plain design-name" :title="t('bench.rename')" @click="begin">
      {{ design.answer?.name }}
    </button>
    <template v-else>{{ design.answer?.name }}</template>
  </h1>
  <BFormInput
    v-else
    ref="field"
    v-model="typed"
    size="sm"
    class="name-field"
    maxlength="120"
    :aria-label="t('bench.design-name')"
    @keydown.enter.prevent="keep"
    @keydown.esc.stop="typed = null"
    @blur="keep" />
</template>
