<script setup lang="ts">
import { BFormSelect, BFormTextarea } from 'bootstrap-vue-next'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { TextFill } from '../../api/types'
import { useFaces } from '../../stock/useFaces'
import ColourField from './ColourField.vue'
import { characters, marked, type Look } from './textRuns'
import { useTypedWords } from './useTypedWords'

/** The words of a text, and those of them that are set in another weight or colour. */
const props = defineProps<{ fill: TextFill }>()
const emit = defineEmits<{ set: [part: Partial<TextFill>, target: string] }>()
const { t } = useI18n()
const { weights } = useFaces()
const { typed, runs, type, keep } = useTypedWords(
  () => props.fill,
  (words) => emit('set', words, 'words'),
)

const chosen = ref<[number, number]>([0, 0])
const some = computed(() => chosen.value[1] > chosen.value[0])
function choose(event: Event): void {
  const { selectionStart, selectionEnd } = event.target as HTMLTextAreaElement
  chosen.value = [characters(typed.value, selectionStart), characters(typed.value, selectionEnd)]
}
/** How the first of the chosen characters is set. */
const look = computed((): Look => runs.value.find((run) => run.from <= chosen.value[0] && run.to > chosen.value[0]) ?? {})
function mark(how: (before: Look) => Look): void {
  emit('set', { text: typed.value, runs: marked(runs.value, ...chosen.value, how) }, 'runs')
}
const heavier = computed(() => {
  const known = weights(props.fill.font)
  return known.find((weight) => weight >= Math.max(600, props.fill.weight + 100)) ?? known[known.length - 1] ?? null
})
const words = computed(() => {
  const all = [...typed.value].slice(...chosen.value).join('')
  return all.length > 24 ? `${all.slice(0, 23)}…` : all
})
</script>

<template>
  <label>
    {{ t('fill.text-label') }}
    <BFormTextarea
      v-model="typed"
      size="sm"
      rows="4"
      maxlength="5000"
      @input="type"
      @change="keep"
      @select="choose"
      @keyup="choose"
      @mouseup="choose" />
  </label>
  <fieldset class="run-fields">
    <legend class="hint">{{ some ? t('run.of', { words }) : t('run.hint') }}</legend>
    <div v-if="some" class="field-row">
      <button
        v-if="heavier"
        type="button"
        class="btn btn-sm btn-outline-dark"
        :aria-pressed="look.weight === heavier"
        @click="mark((before) => ({ ...before, weight: before.weight === heavier ? null : heavier }))">
        <b>{{ t('run.bold') }}</b>
      </button>
      <label>
        <span class="visually-hidden">{{ t('run.weight') }}</span>
        <BFormSelect
          size="sm"
          :model-value="look.weight ?? ''"
          @change="(event: Event) => mark((before) => ({ ...before, weight: Number((event.target as HTMLSelectElement).value) || null }))">
          <option value="">{{ t('run.as-rest') }}</option>
          <option v-for="weight in weights(fill.font)" :key="weight" :value="weight">{{ weight }}</option>
        </BFormSelect>
      </label>
      <button type="button" class="btn btn-sm btn-outline-dark" @click="mark(() => ({}))">{{ t('run.plain') }}</button>
    </div>
    <ColourField
      v-if="some"
      :label="t('run.colour')"
      :value="look.colour ?? fill.colour"
      @set="(colour) => mark((before) => ({ ...before, colour }))" />
  </fieldset>
</template>

<style scoped>
.run-fields {
  margin: 0.2rem 0 0.5rem;
}
.run-fields legend {
  float: none;
  margin: 0;
  font-size: 0.8rem;
}
.run-fields .field-row {
  align-items: center;
}
.run-fields .field-row label {
  margin: 0;
}
.run-fields button[aria-pressed='true'] {
  background: var(--ink);
  color: var(--on-ink);
}
</style>
