<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next'
import { computed, ref, useId, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { ProblemError } from '../api/client'
import { usePartWords } from './partWords'
import { typedSeconds } from './typedTime'
import { useTyped } from './useTyped'

/**
 * A number that is kept in whole small parts (ms) and shown in large ones (s). What is refused stays as it was typed,
 * with the reason below it in what is shown; Escape brings back what is kept.
 */
const props = withDefaults(
  defineProps<{ label: string; value: number; path: string; refusal: unknown; unit?: string; parts?: number; disabled?: boolean }>(),
  { unit: '', parts: 1 },
)
const emit = defineEmits<{ set: [value: number] }>()
const { t } = useI18n()
const wordsOf = usePartWords()
const id = useId()
const shown = computed(() => String(props.value / props.parts))
const { typed, enter, leave, reset: keep } = useTyped(() => shown.value)
const asked = ref<'no' | 'number' | 'sent'>('no')
watch(shown, () => (asked.value = 'no'))

const wrong = computed(() => {
  if (asked.value === 'number') return t('measure.number')
  if (asked.value !== 'sent' || !(props.refusal instanceof ProblemError)) return ''
  const { problem } = props.refusal
  return problem.path.endsWith(props.path) ? wordsOf(problem, props.parts, props.unit) : ''
})

function commit(): void {
  const number = props.unit === 's' ? (typedSeconds(typed.value) ?? NaN) : Number(typed.value.replace(',', '.'))
  if (typed.value.trim() === shown.value) return
  asked.value = typed.value.trim() === '' || !Number.isFinite(number) ? 'number' : 'sent'
  if (asked.value === 'sent') emit('set', Math.round(number * props.parts))
}
function reset(): void {
  keep()
  asked.value = 'no'
}
</script>

<template>
  <label :for="id">
    {{ label }}
    <span class="with-unit">
      <BFormInput
        size="sm"
        :id="id"
        v-model="typed"
        class="measure"
        :inputmode="unit === 's' ? undefined : 'decimal'"
        @focus="enter"
        @blur="leave"
        :disabled="disabled"
        :aria-invalid="wrong !== ''"
        :aria-describedby="wrong ? `${id}-wrong` : undefined"
        @change="commit"
        @keydown.enter.prevent="commit"
        @keydown.esc.stop="reset" />
      <span v-if="unit" class="unit" aria-hidden="true">{{ unit }}</span>
    </span>
    <span v-if="wrong" :id="`${id}-wrong`" class="refusal" role="alert">{{ wrong }}</span>
  </label>
</template>
