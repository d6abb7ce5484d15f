<script setup lang="ts">
import { BFormCheckbox } from 'bootstrap-vue-next'
import Sortable from 'sortablejs'
import { computed, nextTick, onMounted, ref, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Entry, PlaylistFill } from '../../api/types'
import type { Item } from '../../plan/types'
import { useUploads } from '../../stock/uploads'
import { seconds } from '../../ui/format'
import MeasureField from '../../ui/MeasureField.vue'
import { useDesign } from '../store/design'
import AddEntries from './AddEntries.vue'
import ClipFields from './ClipFields.vue'
import EntryFields from './EntryFields.vue'
import ListOrder from './ListOrder.vue'
import ListSource from './ListSource.vue'
import SeveralEntries from './SeveralEntries.vue'
import { fillWords } from '../../ui/fillWords'

const props = defineProps<{ fill: PlaylistFill; items: Item[] }>()
const { t } = useI18n()
const design = useDesign()
const stock = useUploads()
const list = useTemplateRef<HTMLElement>('list')
const open = ref<string | null>(null)
const place = (): { zone: string } => ({ zone: design.selected ?? '' })
const cycle = computed(() => design.zone?.cycle_ms ?? null)
/** Whom it goes in step with: its own durations are not used. */
const leader = computed(() => design.zone?.follows && design.zones[design.zone.follows.zone])
const lasts = (entry: Entry): string =>
  leader.value ? t('playlist.with', { letter: leader.value.letter }) : seconds(entry.duration_ms ?? itemOf(entry.id)?.ms ?? null)
const itemOf = (entry: string): Item | undefined => props.items.find((item) => item.entry === entry)

/** Those that are changed together. */
const chosen = ref(new Set<string>())
const together = computed(() => props.fill.entries.filter((entry) => chosen.value.has(entry.id)))
function choose(entry: Entry, on: boolean): void {
  const now = new Set(chosen.value)
  if (on) now.add(entry.id)
  else now.delete(entry.id)
  chosen.value = now
}
/** With Ctrl one more or less is chosen, with Shift all from the last chosen one on; alone it is opened. */
function press(event: MouseEvent, entry: Entry): void {
  const entries = props.fill.entries
  if (event.ctrlKey || event.metaKey) choose(entry, !chosen.value.has(entry.id))
  else if (event.shiftKey) {
    const from = Math.max(
      0,
      entries.findLastIndex((one) => chosen.value.has(one.id)),
    )
    const [least, most] = [from, entries.indexOf(entry)].sort((one, other) => one - other) as [number, number]
    chosen.value = new Set([...chosen.value, ...entries.slice(least, most + 1).map((one) => one.id)])
  } else open.value = open.value === entry.id ? null : entry.id
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

onMounted(() => {
  if (!list.value) return
  // Pointer events instead of HTML5 drag, which touch and assistive tools do not give.
  const sortable = Sortable.create(list.value, {
    handle: '.entry-face',
    forceFallback: true,
    fallbackTolerance: 4,
    animation: 0,
    disabled: !!props.fill.of,
    onEnd: ({ oldIndex, newIndex, item, from }) => {
      if (oldIndex === undefined || newIndex === undefined || oldIndex === newIndex) return
      // The list is put back: what is drawn comes from the core's answer.
      from.insertBefore(item, from.children[oldIndex < newIndex ? oldIndex : oldIndex + 1] ?? null)
      const entry = props.fill.entries[oldIndex]
      const rest = props.fill.entries.filter((one) => one !== entry)
      if (entry) void design.send([{ do: 'entry.move', ...place(), entry: entry.id, before: rest[newIndex]?.id ?? null }])
    },
  })
  watch(
    () => props.fill.of,
    (of) => sortable.option('disabled', !!of),
  )
})
const mediaName = (id: string): string | undefined => stock.find(id)?.name
</script>

<template>
  <ClipFields :clip="fill.clip ?? null" @set="(clip) => void design.setFill(place().zone, { ...fill, clip }, `${place().zone}:clip`)" />
  <section class="playlist" :aria-label="t('playlist.title')">
    <ListSource v-if="!design.answer?.list" :fill="fill" :zone="place().zone" />
    <p v-if="!fill.entries.length" class="hint">{{ t('playlist.empty') }}</p>
    <p v-else-if="cycle" class="measure">{{ t('playlist.cycle', { time: seconds(cycle) }) }}</p>
    <div v-if="timed.length > 1 && !leader && !fill.of" class="list-time">
      <MeasureField
        :label="t('playlist.all')"
        unit="s"
        :parts="1000"
        path="/entry/duration_ms"
        :value="timed[0]?.duration_ms ?? 0"
        :refusal="design.refusal"
        @set="setAll" />
    </div>
    <ListOrder :fill="fill" :zone="place().zone" />
    <SeveralEntries v-if="together.length > 1" :entries="together" :zone="place().zone" @done="chosen = new Set()" />
    <ol ref="list" class="entries">
      <li
        v-for="(entry, index) in fill.entries"
        :key="entry.id"
        class="entry"
        :class="{ off: !entry.enabled, between: entry.between }"
        :data-entry="entry.id">
        <div class="entry-line">
          <BFormCheckbox
            v-if="fill.entries.length > 1 && !fill.of"
            :model-value="chosen.has(entry.id)"
            :aria-label="t('playlist.choose', { place: index + 1 })"
            @update:model-value="choose(entry, $event === true)" />
          <button
            type="button"
            class="entry-face"
            :aria-expanded="open === entry.id"
            :disabled="!!fill.of"
            @click="press($event, entry)"
            @keydown.alt.up.prevent="move(entry, -1)"
            @keydown.alt.down.prevent="move(entry, 1)">
            <b>{{ index + 1 }}</b>
            <span>
              {{ fillWords(entry.fill, mediaName) || t(`fill.${entry.fill.kind}`) }}
              <span v-if="entry.between" class="hint entry-when">{{ t('playlist.between-said') }}</span>
              <span v-if="entry.when" class="hint entry-when">{{ design.document?.whens?.[entry.id]?.words ?? entry.when.rrule }}</span>
            </span>
            <span class="measure">
              {{ entry.enabled ? lasts(entry) : t('playlist.off') }}
            </span>
          </button>
        </div>
        <EntryFields
          v-if="open === entry.id && !fill.of"
          :entry="entry"
          :item="itemOf(entry.id)"
          :index="index"
          :count="fill.entries.length"
          @move="(by) => move(entry, by)" />
      </li>
    </ol>
    <AddEntries v-if="!fill.of" :zone="place().zone" @open="open = $event" />
  </section>
</template>
