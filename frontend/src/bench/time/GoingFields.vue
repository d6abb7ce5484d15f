<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Unequal } from '../../plan/types'
import { seconds } from '../../ui/format'
import { useDesign } from '../store/design'
import { useEntryWords } from './useEntryWords'
import { useGoing } from './useGoing'

/** Whether a zone goes by itself or in step with another; there, side by side, what each step of both shows. */
const props = defineProps<{ zone: string }>()
const { t } = useI18n()
const design = useDesign()
const going = useGoing()
const words = useEntryWords()
const MOST_STEPS = 12
const WAYS: Unequal[] = ['wrap', 'hold', 'clear']
const by = computed(() => going.goesBy(props.zone))
const leaders = computed(() => going.leaders(props.zone))
const plan = computed(() => design.zones[props.zone])
const leader = computed(() => (plan.value?.follows ? design.zones[plan.value.follows.zone] : undefined))
const followed = computed(() => design.documents[props.zone]?.follows)
/** Also where it leads nobody here: what is set is shown. */
const absent = computed(() => followed.value && !leaders.value.some((one) => one.id === followed.value?.zone))
const steps = computed(() => (leader.value ? (design.documents[props.zone]?.order ?? []).slice(0, MOST_STEPS) : []))
const more = computed(() => (design.documents[props.zone]?.order?.length ?? 0) > MOST_STEPS)
const value = (event: Event): string => (event.target as HTMLSelectElement).value
</script>

<template>
  <label>
    {{ t('going.label') }}
    <BFormSelect size="sm" :model-value="by" @change="going.goBy(zone, value($event))">
      <option value="scene">{{ t('going.scene') }}</option>
      <option value="midnight">{{ t('going.midnight') }}</option>
      <option v-for="one in leaders" :key="one.id" :value="one.id">{{ t('going.step', { letter: one.letter }) }} {{ one.name }}</option>
      <option v-if="followed && absent" :value="followed.zone">
        {{ t('going.step', { letter: design.documents[followed.zone]?.letter ?? '?' }) }}
      </option>
    </BFormSelect>
  </label>
  <template v-if="followed">
    <label>
      {{ t('going.unequal') }}
      <BFormSelect size="sm" :model-value="followed.unequal" @change="going.setUnequal(zone, value($event) as Unequal)">
        <option v-for="way in WAYS" :key="way" :value="way">{{ t(`going.${way}`) }}</option>
      </BFormSelect>
    </label>
    <table v-if="leader && plan && steps.length" class="steps">
      <caption class="visually-hidden">{{ t('going.steps') }}</caption>
      <thead>
        <tr>
          <th scope="col">{{ t('going.at') }}</th>
          <th scope="col">{{ leader.letter }}</th>
          <th scope="col">{{ plan.letter }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="step in steps" :key="step.at_ms">
          <td class="measure">{{ seconds(step.at_ms) }}</td>
          <td>{{ words(leader, step.leader ?? 0) }}</td>
          <td :class="{ hint: step.place === null }">{{ step.place === null ? t('going.nothing') : words(plan, step.place) }}</td>
        </tr>
        <tr v-if="more">
          <td colspan="3" class="hint">…</td>
        </tr>
      </tbody>
    </table>
  </template>
</template>

<style scoped>
.steps {
  width: 100%;
  font-size: 0.8125rem;
  table-layout: fixed;
  border-collapse: collapse;
}
.steps th,
.steps td {
  padding: 0.15rem 0.3rem 0.15rem 0;
  border-top: 1px solid var(--hairline);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  text-align: left;
}
.steps th:first-child {
  width: 4rem;
}
</style>
