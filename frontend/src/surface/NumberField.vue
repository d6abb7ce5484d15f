<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next'
import { ref, useId, watch } from 'vue'
import { usePartWords } from '../ui/partWords'
import { typedNumber, useFieldRefusal } from './refusal'

/**
 * A number with its unit. What cannot be a number is sent as it was typed, and the refusal stands below, in that unit:
 * `parts` of what is kept make one of it.
 */
const props = withDefaults(
  defineProps<{ label: string; unit?: string; path?: string; parts?: number; disabled?: boolean; placeholder?: string }>(),
  { unit: '', parts: 1 },
)
const value = defineModel<number | null>({ required: true })
const id = useId()
const text = ref('')
const wordsOf = usePartWords()
const refusal = useFieldRefusal(
  () => props.path,
  (problem) => (props.parts === 1 ? `${problem.title} ${problem.mend}` : wordsOf(problem, props.parts, props.unit)),
)

watch(
  value,
  (next) => {
    if (next === null) text.value = ''
    else if (typedNumber(text.value) !== next) text.value = String(next)
  },
  { immediate: true },
)

function typed(): void {
  const next = text.value.trim() === '' ? null : typedNumber(text.value)
  if (next !== value.value) value.value = next
}
</script>

<template>
  <label :for="id">
    {{ label }}
    <span class="with-unit">
      <BFormInput
        size="sm"
        :id="id"
        v-model="text"
        class="measure"
        inputmode="decimal"
        @focus="($event.target as HTMLInputElement).select()"
        :disabled="disabled"
        :placeholder="placeholder"
        :aria-invalid="refusal !== ''"
        :aria-describedby="refusal ? `${id}-wrong` : undefined"
        @change="typed" />
      <span v-if="unit" class="unit" aria-hidden="true">{{ unit }}</span>
    </span>
    <span v-if="refusal" :id="`${id}-wrong`" class="refusal" role="alert">{{ refusal }}</span>
  </label>
</template>
