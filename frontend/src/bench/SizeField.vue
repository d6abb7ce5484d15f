<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { ProblemError } from '../api/client'
import type { BenchPart } from '../api/types'

/** A length as it was written, in px, %, mm or fr, with the px it comes to beside it. A bare number is px. */
const props = defineProps<{ label: string; part: BenchPart | null; px: number; refusal: unknown }>()
const emit = defineEmits<{ set: [size: string] }>()
const { t } = useI18n()
const typed = ref('')
const asked = ref(false)
/** Shares are written by their px where nothing else was meant: the core keeps them equal. */
const written = computed(() => (props.part ? props.part.size : `${props.px}px`))
const shown = computed(() => (written.value.endsWith('fr') ? String(props.px) : written.value))
watch(shown, (value) => {
  typed.value = value
  asked.value = false
}, { immediate: true })
const refused = computed(() => (asked.value && props.refusal instanceof ProblemError && props.refusal.problem.path.endsWith('/size') ? props.refusal.problem : null))

/** Typing the very px that are shown pins them. */
function commit(enter: boolean): void {
  const text = typed.value.replace(/\s+/g, '')
  if (!props.part || text === '' || (!enter && text === shown.value)) return
  const size = /^\d+$/.test(text) ? `${text}px` : text
  if (size === written.value) return
  asked.value = true
  emit('set', size)
}
function reset(): void {
  typed.value = shown.value
  asked.value = false
}
</script>

<template>
  <label :class="{ invalid: refused }">
    {{ label }}
    <input v-model="typed" class="form-control form-control-sm measure" :class="{ 'is-invalid': refused }" :disabled="!part" :title="part ? '' : t('bench.whole')" :aria-invalid="!!refused" @change="commit(false)" @keydown.enter.prevent="commit(true)" @keydown.esc="reset" />
    <span v-if="refused" class="refusal" role="alert">{{ refused.title }} {{ refused.mend }}</span>
    <span v-else-if="!written.endsWith('px')" class="hint measure">{{ t('bench.resolved', { size: written, px: String(px) }) }}</span>
  </label>
</template>
