<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { PlaylistFill } from '../../api/types'
import { clock } from '../../ui/format'
import MeasureField from '../../ui/MeasureField.vue'
import { useDesign } from '../store/design'
import { useEntryWords } from '../time/useEntryWords'

/** The order of a list; where some lie between the others, after how many, and the first that come of both. */
const props = defineProps<{ fill: PlaylistFill; zone: string }>()
const { t } = useI18n()
const design = useDesign()
const words = useEntryWords()
const ORDERS = ['listed', 'shuffled', 'random'] as const
const mixed = computed(() => props.fill.entries.some((entry) => entry.between && entry.enabled))
const plan = computed(() => design.zones[props.zone])
const coming = computed(() => (mixed.value && !plan.value?.follows ? (design.documents[props.zone]?.order ?? []) : []))
const isBetween = (place: number | null): boolean => place !== null && plan.value?.items[place]?.between === true
const set = (part: Partial<PlaylistFill>, target: string): void =>
  void design.setFill(props.zone, { ...props.fill, ...part }, `${props.zone}:${target}`)
function reorder(event: Event): void {
  set({ order: (event.target as HTMLSelectElement).value as (typeof ORDERS)[number] }, 'order')
}
</script>

<template>
  <MeasureField
    v-if="mixed && !fill.of"
    :label="t('playlist.after')"
    unit=""
    path="/fill/after"
    :value="fill.after ?? 1"
    :refusal="design.refusal"
    @set="set({ after: $event }, 'after')" />
  <label v-else-if="fill.entries.length > 1 && !plan?.follows && !fill.of">
    {{ t('playlist.order') }}
    <BFormSelect size="sm" :model-value="fill.order ?? 'listed'" @change="reorder">
      <option v-for="order in ORDERS" :key="order" :value="order">{{ t(`playlist.${order}`) }}</option>
    </BFormSelect>
  </label>
  <template v-if="plan && coming.length">
    <h4 class="coming-title">{{ t('playlist.coming') }}</h4>
    <ol class="coming" tabindex="0" :aria-label="t('playlist.coming')">
      <li v-for="step in coming" :key="step.at_ms" :class="{ between: isBetween(step.place) }">
        <span class="measure">{{ clock(step.at_ms) }}</span>
        <span>{{ step.place === null ? '' : words(plan, step.place) }}</span>
      </li>
    </ol>
  </template>
</template>

<style scoped>
.coming-title {
  margin: 0.5rem 0 0.2rem;
  font-size: 0.8125rem;
  font-weight: 600;
}
.coming {
  max-height: 11rem;
  margin: 0 0 0.6rem;
  padding: 0;
  overflow-y: auto;
  list-style: none;
  font-size: 0.8125rem;
}
.coming li {
  display: flex;
  gap: 0.5rem;
  padding: 0.1rem 0.3rem;
  border-left: 3px solid transparent;
  white-space: nowrap;
}
.coming li span:last-child {
  overflow: hidden;
  text-overflow: ellipsis;
}
.coming .measure {
  flex: none;
  min-width: 3.2rem;
}
.coming .between {
  border-left-color: var(--verdigris);
  background: var(--paper);
}
</style>
