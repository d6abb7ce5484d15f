<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next'
import { computed, ref, useId, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { When } from '../api/fills'
import { readHours, type SaidHours } from '../api/hours'
import { civilSpan } from './format'
import { useRefusalWords } from './refusalWords'
import { useTyped } from './useTyped'

/** Days and hours, typed and said as a sentence, with the next times they mean; empty: always. What is not understood stays typed. */
const props = defineProps<{ label: string; site: string; said: SaidHours | null; rule: string | null }>()
const emit = defineEmits<{ set: [when: When | null] }>()
const { t } = useI18n()
const wordsOf = useRefusalWords()
const id = useId()
const shown = computed(() => props.said?.words ?? props.rule ?? '')
const { typed, enter, leave, reset: keep } = useTyped(() => shown.value)
const wrong = ref('')
let sent: string | null = null
watch(shown, () => (wrong.value = ''))
watch(typed, (now) => {
  if (now.trim() !== sent) sent = null
})
const next = computed(() => (props.said?.next ?? []).map(civilSpan))

async function commit(): Promise<void> {
  const words = typed.value.trim()
  // Enter says it, and leaving the field says it again.
  if (words === shown.value || words === sent) return
  sent = words
  if (words === '') return emit('set', null)
  try {
    const { when } = await readHours(props.site, words)
    if (typed.value.trim() === words) emit('set', when)
  } catch (error) {
    sent = null
    const { what, mend } = wordsOf(error)
    wrong.value = `${what} ${mend}`
  }
}
function reset(): void {
  keep()
  wrong.value = ''
}
</script>

<template>
  <label :for="id" class="when-field">
    {{ label }}
    <BFormInput
      size="sm"
      :id="id"
      v-model="typed"
      maxlength="300"
      :placeholder="t('when.always')"
      :aria-invalid="wrong !== ''"
      :aria-describedby="`${id}-says`"
      @focus="enter"
      @blur="leave"
      @change="commit"
      @keydown.enter.prevent="commit"
      @keydown.esc.stop="reset" />
  </label>
  <p v-if="wrong" :id="`${id}-says`" class="refusal" role="alert">{{ wrong }}</p>
  <p v-else-if="!said" :id="`${id}-says`" class="hint">{{ t('when.hint') }}</p>
  <p v-else-if="!next.length" :id="`${id}-says`" class="refusal">{{ t('when.over') }}</p>
  <p v-else :id="`${id}-says`" class="hint">
    {{ t('when.next') }}
    <span v-for="time in next" :key="time" class="measure next-time">{{ time }}</span>
  </p>
</template>

<style scoped>
.next-time {
  display: block;
}
</style>
