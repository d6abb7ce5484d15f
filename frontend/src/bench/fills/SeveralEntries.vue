<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Command, Entry } from '../../api/types'
import { TRANSITIONS } from '../../plan/transitions'
import { useSession } from '../../session/session'
import MeasureField from '../../ui/MeasureField.vue'
import WhenField from '../../ui/WhenField.vue'
import { useDesign } from '../store/design'

/** Several entries of a list, changed at once: one step, taken back as one. */
const props = defineProps<{ entries: Entry[]; zone: string }>()
const emit = defineEmits<{ done: [] }>()
const { t } = useI18n()
const design = useDesign()
const session = useSession()
const first = computed(() => props.entries[0])
const all = (of: (entry: Entry) => Command): Promise<boolean> => design.send(props.entries.map(of))
const set = (part: Partial<Entry> | { transition: { kind: string } }): void =>
  void all((entry) => ({ do: 'entry.set', zone: props.zone, entry: { ...entry, ...part } }))
async function remove(): Promise<void> {
  if (await all((entry) => ({ do: 'entry.remove', zone: props.zone, entry: entry.id }))) emit('done')
}
</script>

<template>
  <fieldset v-if="first" class="several-entries">
    <legend>{{ t('playlist.several', { count: entries.length }) }}</legend>
    <MeasureField
      :label="t('playlist.each')"
      unit="s"
      :parts="1000"
      path="/entry/duration_ms"
      :value="first.duration_ms ?? 0"
      :refusal="design.refusal"
      @set="(ms) => set({ duration_ms: ms })" />
    <label>
      {{ t('playlist.transition') }}
      <BFormSelect
        size="sm"
        :model-value="first.transition.kind"
        @change="set({ transition: { kind: ($event.target as HTMLSelectElement).value } })">
        <option v-for="kind in TRANSITIONS" :key="kind" :value="kind">{{ t(`transition.${kind}`) }}</option>
      </BFormSelect>
    </label>
    <WhenField
      :label="t('when.label')"
      :site="session.slug"
      :said="design.document?.whens?.[first.id] ?? null"
      :rule="first.when?.rrule ?? null"
      @set="(when) => set({ when })" />
    <div class="button-row">
      <button type="button" class="btn btn-sm btn-outline-dark" @click="set({ enabled: true })">{{ t('playlist.on') }}</button>
      <button type="button" class="btn btn-sm btn-outline-dark" @click="set({ enabled: false })">{{ t('playlist.turn-off') }}</button>
      <button type="button" class="btn btn-sm btn-outline-dark" @click="remove">{{ t('playlist.remove') }}</button>
      <button type="button" class="btn btn-sm btn-outline-dark" @click="emit('done')">{{ t('playlist.chosen-done') }}</button>
    </div>
  </fieldset>
</template>

<style scoped>
.several-entries {
  display: grid;
  gap: 0.4rem;
  margin: 0.5rem 0;
  padding: 0.5rem;
  border: 1px solid var(--edge);
  background: var(--paper);
}
.several-entries legend {
  float: none;
  width: auto;
  margin: 0;
  padding: 0 0.3rem;
  font-size: 0.8125rem;
  font-weight: 600;
}
</style>
