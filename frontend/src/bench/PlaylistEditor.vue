<script setup lang="ts">
import { BFormCheckbox, BFormInput, BFormSelect } from 'bootstrap-vue-next'
import Sortable from 'sortablejs'
import { computed, nextTick, onMounted, ref, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Entry, Fill, PlaylistFill } from '../api/types'
import type { Item } from '../plan/types'
import { useUploads } from '../stock/uploads'
import { seconds } from '../ui/format'
import { useDesign } from './design'
import FillEditor from './FillEditor.vue'
import { fillWords } from '../ui/fillWords'
import { freshColour, freshEntry, freshText } from './fills'

const props = defineProps<{ fill: PlaylistFill; items: Item[] }>()
const { t } = useI18n()
const design = useDesign()
const stock = useUploads()
const list = useTemplateRef<HTMLElement>('list')
const open = ref<string | null>(null)
const place = (): { zone: string } => ({ zone: design.selected ?? '' })
const cycle = computed(() => design.zone?.cycle_ms ?? null)
const itemOf = (entry: string): Item | undefined => props.items.find((item) => item.entry === entry)

function set(entry: Entry, part: Partial<Entry>, target: string): void {
  void design.send([{ do: 'entry.set', ...place(), entry: { ...entry, ...part } }], `${entry.id}:${target}`)
}
function duration(entry: Entry, event: Event): void {
  const ms = Math.round(Number((event.target as HTMLInputElement).value) * 1000)
  set(entry, { duration_ms: ms }, 'duration')
}
const content = (entry: Entry, on: boolean): void => set(entry, { duration_ms: on ? null : (itemOf(entry.id)?.ms ?? 10_000) }, 'content')
function transition(entry: Entry, event: Event): void {
  const kind = (event.target as HTMLSelectElement).value as 'cut' | 'fade'
  set(entry, { transition: { kind, ms: kind === 'fade' ? 600 : 0 } }, 'transition')
}
async function move(entry: Entry, by: number): Promise<void> {
  const to = props.fill.entries.indexOf(entry) + by
  if (to < 0 || to >= props.fill.entries.length) return
  await design.send([{ do: 'entry.move', ...place(), entry: entry.id, before: props.fill.entries[by > 0 ? to + 1 : to]?.id ?? null }])
  await nextTick()
  list.value?.querySelector<HTMLElement>(`[data-entry="${entry.id}"] .entry-face`)?.focus()
}
const remove = (entry: Entry): void => void design.send([{ do: 'entry.remove', ...place(), entry: entry.id }])
const add = (fill: Fill): void => {
  const entry = freshEntry(fill)
  open.value = entry.id
  void design.send([{ do: 'entry.add', ...place(), entry, before: null }])
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
  <section class="playlist" :aria-label="t('playlist.title')">
    <p v-if="!fill.entries.length" class="hint">{{ t('playlist.empty') }}</p>
    <p v-else-if="cycle" class="measure">{{ t('playlist.cycle', { time: seconds(cycle) }) }}</p>
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
          <span>{{ fillWords(entry.fill, mediaName) || t(`fill.${entry.fill.kind}`) }}</span>
          <span class="measure">{{ seconds(entry.duration_ms ?? itemOf(entry.id)?.ms ?? null) }}</span>
        </button>
        <div v-if="open === entry.id" class="entry-body">
          <div class="field-row">
            <label>
              {{ t('playlist.seconds') }}
              <BFormInput
                size="sm"
                class="measure"
                type="number"
                step="0.1"
                min="0.1"
                :disabled="entry.duration_ms === null"
                :model-value="(entry.duration_ms ?? itemOf(entry.id)?.ms ?? 0) / 1000"
                @change="duration(entry, $event)" />
            </label>
            <label>
              {{ t('playlist.transition') }}
              <BFormSelect size="sm" :model-value="entry.transition.kind" @change="transition(entry, $event)">
                <option value="cut">{{ t('playlist.cut') }}</option>
                <option value="fade">{{ t('playlist.fade') }}</option>
              </BFormSelect>
            </label>
          </div>
          <BFormCheckbox :model-value="entry.duration_ms === null" @update:model-value="(on) => content(entry, on === true)">
            {{ t('playlist.content') }}
          </BFormCheckbox>
          <BFormCheckbox :model-value="entry.enabled" @update:model-value="set(entry, { enabled: !entry.enabled }, 'enabled')">
            {{ t('playlist.enabled') }}
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
          <FillEditor
            :fill="entry.fill"
            :items="itemOf(entry.id) ? [itemOf(entry.id)!] : []"
            @change="(changed, target) => set(entry, { fill: changed }, target)" />
        </div>
      </li>
    </ol>
    <div class="merge-row">
      <button type="button" class="btn btn-sm btn-outline-dark" @click="add(freshText('Text'))">{{ t('playlist.add-text') }}</button>
      <button type="button" class="btn btn-sm btn-outline-dark" @click="add(freshColour())">{{ t('playlist.add-colour') }}</button>
    </div>
    <p class="hint">{{ t('playlist.add-hint') }}</p>
  </section>
</template>
