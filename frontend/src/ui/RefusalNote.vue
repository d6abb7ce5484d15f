<script setup lang="ts">
import { computed } from 'vue'
import { useRefusalWords } from './refusalWords'

const props = defineProps<{ error: unknown }>()
const wordsOf = useRefusalWords()
const words = computed(() => (props.error ? wordsOf(props.error) : null))
</script>

<template>
  <p v-if="words" class="refusal" role="alert">
    <strong>{{ words.what }}</strong>
    {{ words.mend }}
  </p>
</template>
