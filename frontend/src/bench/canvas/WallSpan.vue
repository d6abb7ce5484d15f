<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Rect, ZonePlan } from '../../plan/types'
import { useDesign } from '../store/design'
import { useGone } from './useMerge'

/** The wall in small: on which panels the pane falls, and one click sets it to a panel, a column, a row or all; with Shift to several. */
const props = defineProps<{ zone: ZonePlan }>()
const { t } = useI18n()
const design = useDesign()
const { watching } = useGone()
const panels = computed(() => design.answer?.panels ?? {})
const ranks = computed(() => design.answer?.ranks ?? { columns: [], rows: [] })
const canvas = computed(() => design.answer?.canvas ?? ([1, 1] as [number, number]))
/** The panel from which Shift goes on. */
const from = ref<string | null>(null)
watch(
  () => props.zone.id,
  () => (from.value = null),
)

const place = (rect: Rect | undefined): Record<string, string> =>
  rect
    ? {
        left: `${(100 * rect[0]) / canvas.value[0]}%`,
        top: `${(100 * rect[1]) / canvas.value[1]}%`,
        width: `${(100 * rect[2]) / canvas.value[0]}%`,
        height: `${(100 * rect[3]) / canvas.value[1]}%`,
      }
    : {}
const across = (letter: string | undefined): Record<string, string> => {
  const { left, width } = place(panels.value[letter ?? '']) as { left: string; width: string }
  return { left, width }
}
const down = (letter: string | undefined): Record<string, string> => {
  const { top, height } = place(panels.value[letter ?? '']) as { top: string; height: string }
  return { top, height }
}
function span(letters: string[]): void {
  const over = letters.flatMap((letter) => (panels.value[letter] ? [panels.value[letter]] : []))
  if (over.length) void watching(() => design.span(props.zone.id, over))
}
function pick(letter: string, shift: boolean): void {
  const start = shift ? (from.value ?? props.zone.panels[0] ?? letter) : letter
  if (!shift) from.value = letter
  span([...new Set([start, letter])])
}
</script>

<template>
  <section class="wall-span" :aria-label="t('wall.title')">
    <p class="group-label">{{ t('wall.on', { count: zone.panels.length, letters: zone.panels.join(', ') }) }}</p>
    <div class="wall-map" :class="{ ranked: ranks.columns.length }" :style="{ '--ratio': canvas[0] / canvas[1] }">
      <div v-if="ranks.columns.length" class="rank-row">
        <button
          v-for="column in ranks.columns"
          :key="column[0]"
          type="button"
          class="rank"
          :style="across(column[0])"
          :aria-label="t('wall.column', { letters: column.join(', ') })"
          @click="span(column)">
          ↓
        </button>
      </div>
      <div v-if="ranks.rows.length" class="rank-column">
        <button
          v-for="row in ranks.rows"
          :key="row[0]"
          type="button"
          class="rank"
          :style="down(row[0])"
          :aria-label="t('wall.row', { letters: row.join(', ') })"
          @click="span(row)">
          →
        </button>
      </div>
      <div class="wall-panels">
        <button
          v-for="(rect, letter) in panels"
          :key="letter"
          type="button"
          class="wall-panel"
          :class="{ under: zone.panels.includes(String(letter)) }"
          :style="place(rect)"
          :aria-label="t('wall.panel', { letter: String(letter) })"
          @click="pick(String(letter), $event.shiftKey)">
          {{ letter }}
        </button>
        <span class="wall-zone" :style="place(zone.rect)" aria-hidden="true" />
      </div>
    </div>
    <div class="button-row">
      <button type="button" class="btn btn-sm btn-outline-dark" @click="span(Object.keys(panels))">{{ t('wall.all') }}</button>
      <span class="hint">{{ t('wall.hint') }}</span>
    </div>
  </section>
</template>
