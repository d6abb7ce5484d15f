<script setup lang="ts">
import { computed } from 'vue'
import { wordsOf } from '../api/client'

const props = defineProps<{ error: unknown }>()
const words = computed(() => (props.error ? wordsOf(props.error) : null))
</script>

<template>
  <p v-if="words" class="refusal" role="alert">
    <strong>{{ words.what }}</strong>
    {{ words.mend }}
  </p>
</template>
