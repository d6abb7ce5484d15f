<script setup lang="ts">
import { computed, onUnmounted } from 'vue'
import { ProblemError } from '../../api/client'
import { useRefusalWords } from '../../ui/refusalWords'
import { besideFields } from './besideFields'
import { useDesign } from '../store/design'

/** What is refused of one field, under it; `at` is the end of its path. It is not said again over the drawing. */
const props = defineProps<{ at: RegExp }>()
const design = useDesign()
const wordsOf = useRefusalWords()
const words = computed(() =>
  design.refusal instanceof ProblemError && props.at.test(design.refusal.problem.path) ? wordsOf(design.refusal) : null,
)
const place = (path: string): boolean => props.at.test(path)
besideFields.add(place)
onUnmounted(() => besideFields.delete(place))
</script>

<template>
  <p v-if="words" class="refusal" role="alert">{{ words.what }} {{ words.mend }}</p>
</template>
