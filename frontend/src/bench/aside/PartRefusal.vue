<script setup lang="ts">
import { computed } from 'vue'
import { ProblemError } from '../../api/client'
import { usePartWords } from '../../ui/partWords'
import { useDesign } from '../store/design'

/**
 * What is refused of a few figures that stand side by side, under them: `field` is their place in the fill, `parts` how
 * many kept parts make one of the shown unit, by figure.
 */
const props = defineProps<{ field: string; parts: number[]; unit: string; whole?: boolean }>()
const design = useDesign()
const wordsOf = usePartWords()
const words = computed(() => {
  if (!(design.refusal instanceof ProblemError)) return ''
  const { problem } = design.refusal
  const [at, field] = problem.path.split('/').reverse()
  const parts = field === props.field ? props.parts[Number(at)] : undefined
  return parts === undefined ? '' : wordsOf(problem, parts, props.unit, props.whole)
})
</script>

<template>
  <p v-if="words" class="refusal" role="alert">{{ words }}</p>
</template>
