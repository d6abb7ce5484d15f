<script setup lang="ts">
import { BFormInput, BFormSelect } from 'bootstrap-vue-next'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { ProblemError } from '../../api/client'
import { goOn } from '../../ui/focus'
import { useDesign } from '../store/design'
import { useGlazing } from '../store/useGlazing'

/** A pane divided at once, by a number or a list of sizes; its split turned; its content exchanged with another zone's. */
const props = defineProps<{ zone: string }>()
const { t } = useI18n()
const design = useDesign()
const glazing = useGlazing()
const typed = ref('')
const asked = ref(false)
watch(
  () => props.zone,
  () => {
    typed.value = ''
    asked.value = false
  },
)
const refused = computed(() => (asked.value && design.refusal instanceof ProblemError ? design.refusal.problem : null))
async function divide(split: 'columns' | 'rows'): Promise<void> {
  if (typed.value.trim() === '') return
  asked.value = true
  // The next pane is divided from here, too.
  const field = (): HTMLElement | null => document.querySelector('.divide input')
  if (await goOn(() => glazing.divide(props.zone, split, typed.value), field)) typed.value = ''
  else design.refusedHere = true
}
const split = computed(() => design.bench.parts[props.zone]?.split ?? '')
const others = computed(() => [
  { value: '', text: t('divide.swap-none') },
  ...design.plans.filter((plan) => plan.id !== props.zone).map((plan) => ({ value: plan.id, text: `${plan.letter} ${plan.name}` })),
])
const swap = (other: string): void => void (other && glazing.swap(props.zone, other))
</script>

<template>
  <div class="divide">
    <label :class="{ invalid: refused }">
      {{ t('divide.into') }}
      <BFormInput
        size="sm"
        v-model="typed"
        class="measure"
        :placeholder="t('divide.for-example')"
        :aria-invalid="!!refused"
        @keydown.enter.exact.prevent="divide('columns')"
        @keydown.enter.shift.prevent="divide('rows')"
        @keydown.esc.stop="typed = ''" />
      <span v-if="refused" class="refusal" role="alert">{{ refused.title }} {{ refused.mend }}</span>
    </label>
    <div class="button-row">
      <button type="button" class="btn btn-sm btn-outline-dark" :title="t('divide.columns-key')" @click="divide('columns')">
        {{ t('empty.columns') }}
      </button>
      <button type="button" class="btn btn-sm btn-outline-dark" :title="t('divide.rows-key')" @click="divide('rows')">
        {{ t('empty.rows') }}
      </button>
      <button v-if="split" type="button" class="btn btn-sm btn-outline-dark" @click="glazing.turn(split)">{{ t('divide.turn') }}</button>
    </div>
    <label v-if="others.length > 1">
      {{ t('divide.swap') }}
      <BFormSelect size="sm" :model-value="''" :options="others" @change="swap(($event.target as HTMLSelectElement).value)" />
    </label>
  </div>
</template>
