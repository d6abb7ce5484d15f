<script setup lang="ts">
import { BFormCheckbox, BFormSelect } from 'bootstrap-vue-next'
import Sortable from 'sortablejs'
import { computed, nextTick, onMounted, ref, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Entry, Fill, PlaylistFill } from '../../api/types'
import type { Item } from '../../plan/types'
import { TRANSITIONS } from '../../plan/transitions'
import { useUploads } from '../../stock/uploads'
import { seconds } from '../../ui/format'
import MeasureField from '../../ui/MeasureField.vue'
import { useDesign } from '../store/design'
import ClipFields from './ClipFields.vue'
import FillEditor from './FillEditor.vue'
import { partsOf, summary, type Section } from './fillParts'
import WhenField from '../../ui/WhenField.vue'
import { useSession } from '../../session/session'
import PanelSection from '../aside/PanelSection.vue'
import { fillWords } from '../../ui/fillWords'

const props = defineProps<{ fill: PlaylistFill; items: Item[] }>()
const { t } = useI18n()
const design = useDesign()
const stock = useUploads()
const session = useSession()
const list = useTemplateRef<HTMLElement>('list')
const open = ref<string | null>(null)
const place = (): { zone: string } => ({ zone: design.selected ?? '' })
const cycle = computed(() => design.zone?.cycle_ms ?? null)
const itemOf = (entry: string): Item | undefined => props.items.find((item) => item.entry === entry)

/** What is left out of an entry, its duration or a fade's ms, is the usual one. */
function set(entry: Entry, part: Partial<Entry> | { transition: { kind: string } }, target: string): void {
  void design.send([{ do: 'entry.set', ...place(), entry: { ...entry, ...part } }], `${entry.id}:${target}`)
}
const content = (entry: Entry, on: boolean): void => set(entry, { duration_ms: on ? null : itemOf(entry.id)?.ms }, 'content')
function transition(entry: Entry, event: Event): void {
  const kind = (event.target as HTMLSelectElement).value
  set(entry, { transition: { kind } }, 'transition')
}
async function move(entry: Entry, by: number): Promise<void> {
  const to = props.fill.entries.indexOf(entry) + by
  if (to < 0 || to >= props.fill.entries.length) return
  await design.send([{ do: 'entry.move', ...place(), entry: entry.id, before: props.fill.entries[by > 0 ? to + 1 : to]?.id ?? null }])
  await nextTick()
  list.value?.querySelector<HTMLElement>(`[data-entry="${entry.id}"] .entry-face`)?.focus()
}
/** Entries that have a time of their own; a video is as long as it is. */
const timed = computed(() => props.fill.entries.filter((entry) => entry.duration_ms !== null))
const setAll = (ms: number): void =>
  void design.send(timed.value.map((entry) => ({ do: 'entry.set', ...place(), entry: { ...entry, duration_ms: ms } })))
const ORDERS = ['listed', 'shuffled', 'random'] as const
function reorder(event: Event): void {
  const order = (event.target as HTMLSelectElement).value as (typeof ORDERS)[number]
  void design.setFill(place().zone, { ...props.fill, order }, `${place().zone}:order`)
}
const remove = (entry: Entry): void => void design.send([{ do: 'entry.remove', ...place(), entry: entry.id }])
/** As in the particulars: what is seldom changed is folded away, and says in a line what it is. */
const entryParts = (fill: Fill): Section[] =>
  (['fill', 'look', 'time'] as const).filter((part) => part === 'fill' || partsOf(fill.kind)[part])
const sectionOf = (entry: Entry, part: Section): object =>
  part === 'fill'
    ? {}
    : {
        name: `entry-${part}`,
        title: t(`section.${part}`),
        says: part === 'look' ? summary(entry.fill, itemOf(entry.id), t).look : '',
      }
const add = (kind: 'text' | 'colour'): void => {
  open.value = design.beginEntry(place().zone, kind, kind === 'text' ? { text: t('playlist.fresh-text') } : {})
}

onMounted(() => {
  if (!list.value) return
  // Pointer events instead of HTML5 drag, which touch and assistive tools do not give.
  Sortable.create(list.value, {
    handle: '.entry-face',
    forceFallback: true,
    fallbackTolerance: 4,
    animation: 0,
    onEnd: ({ oldIndex, newIndex, item, from }) => {
      if (oldIndex === undefined || newIndex === undefined || oldIndex === newIndex) return
      // The list is put back: what is drawn comes from the core's answer.
      from.insertBefore(item, from.children[oldIndex < newIndex ? oldIndex : oldIndex + 1] ?? null)
      const entry = props.fill.entries[oldIndex]
      const rest = props.fill.entries.filter((one) => one !== entry)
      if (entry) void design.send([{ do: 'entry.move', ...place(), entry: entry.id, before: rest[newIndex]?.id ?? null }])
    },
  })
})
const mediaName = (id: string): string | undefined => stock.find(id)?.name
</script>

<template>
  <ClipFields :clip="fill.clip ?? null" @set="(clip) => void design.setFill(place().zone, { ...fill, clip }, `${place().zone}:clip`)" />
  <section class="playlist" :aria-label="t('playlist.title')">
    <p v-if="!fill.entries.length" class="hint">{{ t('playlist.empty') }}</p>
    <p v-else-if="cycle" class="measure">{{ t('playlist.cycle', { time: seconds(cycle) }) }}</p>
    <MeasureField
      v-if="timed.length > 1"
      :label="t('playlist.all')"
      unit="s"
      :parts="1000"
      path="/entry/duration_ms"
      :value="timed[0]?.duration_ms ?? 0"
      :refusal="design.refusal"
      @set="setAll" />
    <label v-if="fill.entries.length > 1">
      {{ t('playlist.order') }}
      <BFormSelect size="sm" :model-value="fill.order ?? 'listed'" @change="reorder">
        <option v-for="order in ORDERS" :key="order" :value="order">{{ t(`playlist.${order}`) }}</option>
      </BFormSelect>
    </label>
    <ol ref="list" class="entries">
      <li v-for="(entry, index) in fill.entries" :key="entry.id" class="entry" :class="{ off: !entry.enabled }" :data-entry="entry.id">
        <button
          type="button"
          class="entry-face"
          :aria-expanded="open === entry.id"
          @click="open = open === entry.id ? null : entry.id"
          @keydown.alt.up.prevent="move(entry, -1)"
          @keydown.alt.down.prevent="move(entry, 1)">
          <b>{{ index + 1 }}</b>
          <span>
            {{ fillWords(entry.fill, mediaName) || t(`fill.${entry.fill.kind}`) }}
            <span v-if="entry.when" class="hint entry-when">{{ design.document?.whens?.[entry.id]?.words ?? entry.when.rrule }}</span>
          </span>
          <span class="measure">
            {{ entry.enabled ? seconds(entry.duration_ms ?? itemOf(entry.id)?.ms ?? null) : t('playlist.off') }}
          </span>
        </button>
        <div v-if="open === entry.id" class="entry-body">
          <div class="field-row">
            <MeasureField
              :label="t('playlist.seconds')"
              unit="s"
              path="/duration_ms"
              :parts="1000"
              :disabled="entry.duration_ms === null"
              :value="entry.duration_ms ?? itemOf(entry.id)?.ms ?? 0"
              :refusal="design.refusal"
              @set="(ms) => set(entry, { duration_ms: ms }, 'duration')" />
          </div>
          <div class="field-row">
            <label>
              {{ t('playlist.transition') }}
              <BFormSelect size="sm" :model-value="entry.transition.kind" @change="transition(entry, $event)">
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
              @set="(ms) => set(entry, { transition: { kind: entry.transition.kind, ms } }, 'transition-ms')" />
          </div>
          <BFormCheckbox :model-value="entry.duration_ms === null" @update:model-value="(on) => content(entry, on === true)">
            {{ t('playlist.content') }}
          </BFormCheckbox>
          <BFormCheckbox :model-value="entry.enabled" @update:model-value="set(entry, { enabled: !entry.enabled }, 'enabled')">
            {{ t('playlist.enabled') }}
          </BFormCheckbox>
          <WhenField
            :label="t('when.label')"
            :site="session.slug"
            :said="design.document?.whens?.[entry.id] ?? null"
            :rule="entry.when?.rrule ?? null"
            @set="(when) => set(entry, { when }, 'when')" />
          <BFormCheckbox
            v-if="entry.when || entry.alone"
            :model-value="entry.alone ?? false"
            @update:model-value="(on) => set(entry, { alone: on === true }, 'alone')">
            {{ t('when.alone') }}
          </BFormCheckbox>
          <div class="merge-row">
            <button type="button" class="btn btn-sm btn-outline-dark" :disabled="index === 0" @click="move(entry, -1)">
              {{ t('playlist.up') }}
            </button>
            <button type="button" class="btn btn-sm btn-outline-dark" :disabled="index === fill.entries.length - 1" @click="move(entry, 1)">
              {{ t('playlist.down') }}
            </button>
            <button type="button" class="btn btn-sm btn-outline-dark" @click="remove(entry)">{{ t('playlist.remove') }}</button>
          </div>
          <template v-for="part in entryParts(entry.fill)" :key="part">
            <component :is="part === 'fill' ? 'div' : PanelSection" v-bind="sectionOf(entry, part)">
              <FillEditor
                :part="part"
                :fill="entry.fill"
                :items="itemOf(entry.id) ? [itemOf(entry.id)!] : []"
                @change="(changed, target) => set(entry, { fill: changed }, target)" />
            </component>
          </template>
        </div>
      </li>
    </ol>
    <div class="merge-row">
      <button type="button" class="btn btn-sm btn-outline-dark" @click="add('text')">{{ t('playlist.add-text') }}</button>
      <button type="button" class="btn btn-sm btn-outline-dark" @click="add('colour')">{{ t('playlist.add-colour') }}</button>
    </div>
    <p class="hint">{{ t('playlist.add-hint') }}</p>
  </section>
</template>
