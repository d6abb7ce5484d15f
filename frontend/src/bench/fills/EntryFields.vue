<script setup lang="ts">
import { BFormCheckbox, BFormSelect } from 'bootstrap-vue-next'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Entry, Fill } from '../../api/types'
import { TRANSITIONS } from '../../plan/transitions'
import type { Item } from '../../plan/types'
import { useSession } from '../../session/session'
import { often as oftenWords, seconds } from '../../ui/format'
import MeasureField from '../../ui/MeasureField.vue'
import WhenField from '../../ui/WhenField.vue'
import PanelSection from '../aside/PanelSection.vue'
import { useDesign } from '../store/design'
import { wantedMs } from '../time/seeking'
import { useTurns } from '../time/useTurns'
import FillEditor from './FillEditor.vue'
import { partsOf, summary, type Section } from './fillParts'

/** What one entry of a list is: how long, how it enters, when, what it shows. */
const props = defineProps<{ entry: Entry; item: Item | undefined; index: number; count: number }>()
const emit = defineEmits<{ move: [by: number] }>()
const { t } = useI18n()
const design = useDesign()
const session = useSession()
const turn = useTurns()
const MOST_STEPS = 2000
const place = (): { zone: string } => ({ zone: design.selected ?? '' })

/** What is left out of an entry, its duration or a fade's ms, is the usual one. */
function set(part: Partial<Entry> | { transition: { kind: string } }, target: string): void {
  void design.send([{ do: 'entry.set', ...place(), entry: { ...props.entry, ...part } }], `${props.entry.id}:${target}`)
}
const content = (on: boolean): void => set({ duration_ms: on ? null : props.item?.ms }, 'content')
const transition = (event: Event): void => set({ transition: { kind: (event.target as HTMLSelectElement).value } }, 'transition')
const remove = (): void => void design.send([{ do: 'entry.remove', ...place(), entry: props.entry.id }])
/** As in the particulars: what is seldom changed is folded away, and says in a line what it is. */
const entryParts = (fill: Fill): Section[] =>
  (['fill', 'look', 'time'] as const).filter((part) => part === 'fill' || partsOf(fill.kind)[part])
const sectionOf = (part: Section): object =>
  part === 'fill'
    ? {}
    : {
        name: `entry-${part}`,
        title: t(`section.${part}`),
        says: part === 'look' ? summary(props.entry.fill, props.item, t).look : '',
      }
/** Whom the list goes in step with. */
const leader = computed(() => design.zone?.follows && design.zones[design.zone.follows.zone])
const contentMs = computed(() => design.document?.contents?.[props.entry.id])
/** The playhead goes to where it is shown next, as soon as it has entered. */
function show(): void {
  const plan = design.zone
  if (!plan) return
  for (let at = 0, step = 0; step < MOST_STEPS; step++) {
    const now = turn(plan, at)
    if (!now?.leftMs) return
    if (plan.items[now.index]?.entry === props.entry.id) {
      wantedMs.value = at + Math.min(plan.items[now.index]?.transition.ms ?? 0, now.leftMs - 1)
      return
    }
    at += now.leftMs
  }
}
const often = computed(() => {
  const times = design.document?.often?.[props.entry.id]
  return times && props.entry.enabled ? { hour: oftenWords(times.hour), day: oftenWords(times.day) } : null
})
</script>

<template>
  <div class="entry-body">
    <p v-if="leader" class="hint">{{ t('playlist.by-step', { letter: leader.letter }) }}</p>
    <div v-else class="field-row">
      <MeasureField
        :label="t('playlist.seconds')"
        unit="s"
        path="/duration_ms"
        :parts="1000"
        :disabled="entry.duration_ms === null"
        :value="entry.duration_ms ?? item?.ms ?? 0"
        :refusal="design.refusal"
        @set="(ms) => set({ duration_ms: ms }, 'duration')" />
    </div>
    <div class="field-row">
      <label>
        {{ t('playlist.transition') }}
        <BFormSelect size="sm" :model-value="entry.transition.kind" @change="transition($event)">
          <option v-for="kind in TRANSITIONS" :key="kind" :value="kind">{{ t(`transition.${kind}`) }}</option>
        </BFormSelect>
      </label>
      <MeasureField
        v-if="entry.transition.kind !== 'cut'"
        :label="t('transition.for')"
        unit="s"
        path="/transition/ms"
        :parts="1000"
        :value="entry.transition.ms"
        :refusal="design.refusal"
        @set="(ms) => set({ transition: { kind: entry.transition.kind, ms } }, 'transition-ms')" />
    </div>
    <BFormCheckbox v-if="!leader" :model-value="entry.duration_ms === null" @update:model-value="(on) => content(on === true)">
      {{
        contentMs === undefined
          ? t('playlist.content')
          : t(entry.fill.kind === 'text' ? 'playlist.reading' : 'playlist.content-is', { time: seconds(contentMs) })
      }}
    </BFormCheckbox>
    <BFormCheckbox :model-value="entry.enabled" @update:model-value="set({ enabled: !entry.enabled }, 'enabled')">
      {{ t('playlist.enabled') }}
    </BFormCheckbox>
    <BFormCheckbox
      v-if="count > 1"
      :model-value="entry.between ?? false"
      @update:model-value="(on) => set({ between: on === true }, 'between')">
      {{ t('playlist.between') }}
    </BFormCheckbox>
    <button type="button" class="btn btn-sm btn-outline-dark entry-show" :disabled="!entry.enabled" @click="show">
      {{ t('playlist.show') }}
    </button>
    <p v-if="often" class="hint measure">{{ t('playlist.often', often) }}</p>
    <WhenField
      :label="t('when.label')"
      :site="session.slug"
      :said="design.document?.whens?.[entry.id] ?? null"
      :rule="entry.when?.rrule ?? null"
      @set="(when) => set({ when }, 'when')" />
    <BFormCheckbox
      v-if="entry.when || entry.alone"
      :model-value="entry.alone ?? false"
      @update:model-value="(on) => set({ alone: on === true }, 'alone')">
      {{ t('when.alone') }}
    </BFormCheckbox>
    <div class="merge-row">
      <button type="button" class="btn btn-sm btn-outline-dark" :disabled="index === 0" @click="emit('move', -1)">
        {{ t('playlist.up') }}
      </button>
      <button type="button" class="btn btn-sm btn-outline-dark" :disabled="index === count - 1" @click="emit('move', 1)">
        {{ t('playlist.down') }}
      </button>
      <button type="button" class="btn btn-sm btn-outline-dark" @click="remove()">{{ t('playlist.remove') }}</button>
    </div>
    <template v-for="part in entryParts(entry.fill)" :key="part">
      <component :is="part === 'fill' ? 'div' : PanelSection" v-bind="sectionOf(part)">
        <FillEditor
          :part="part"
          :fill="entry.fill"
          :items="item ? [item] : []"
          @change="(changed, target) => set({ fill: changed }, target)" />
      </component>
    </template>
  </div>
</template>
