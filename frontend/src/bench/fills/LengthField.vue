<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next'
import { computed, ref, watch } from 'vue'
import { ProblemError } from '../../api/client'

/** A length as it was written; what is typed is reckoned by the core (`1920/3`, `50%-8`). Escape brings back what is kept. */
const props = defineProps<{ label: string; value: string; path: string; refusal: unknown }>()
const emit = defineEmits<{ set: [value: string] }>()
const typed = ref(props.value)
const asked = ref(false)
watch(
  () => props.value,
  () => reset(),
)
const refused = computed(() =>
  asked.value && props.refusal instanceof ProblemError && props.refusal.problem.path.endsWith(props.path) ? props.refusal.problem : null,
)
function commit(): void {
  const text = typed.value.trim()
  if (text === '' || text === props.value) return
  asked.value = true
  emit('set', text)
}
function reset(): void {
  typed.value = props.value
  asked.value = false
}
</script>

<template>
  <label :class="{ invalid: refused }">
    {{ label }}
    <BFormInput
      size="sm"
      v-model="typed"
      class="measure"
      :class="{ 'is-invalid': refused }"
      :aria-invalid="!!refused"
      @change="commit"
      @keydown.enter.prevent="commit"
      @keydown.esc.stop="reset" />
    <span v-if="refused" class="refusal" role="alert">{{ refused.title }} {{ refused.mend }}</span>
  </label>
</template>
