<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { edgeAfter } from '../../plan/edges'
import { showingNow } from '../../plan/phase'
import type { ZonePlan } from '../../plan/types'
import { useUploads } from '../../stock/uploads'
import { fillWords } from '../../ui/fillWords'
import { useDesign } from '../store/design'

/** What each zone shows along the rail: drawn anew when a plan changes, not with every step of the playhead. */
const props = defineProps<{ fromMs: number; toMs: number; spanMs: number }>()
const { t } = useI18n()
const design = useDesign()

interface Piece {
  from: number
  to: number
  word: string
}
const MOST = 400
const stock = useUploads()
const mediaName = (id: string): string | undefined => stock.find(id)?.name
/** Its place in the list, and what it shows. */
function wordOf(plan: ZonePlan, index: number): string {
  const fill = design.documents[plan.id]?.fill
  const entry = plan.items[index]?.entry
  const entries = fill?.kind === 'playlist' ? fill.entries : []
  const place = entries.findIndex((one) => one.id === entry)
  return place < 0 ? `${index + 1}` : `${place + 1} ${fillWords(entries[place]!.fill, mediaName)}`
}
function pieces(plan: ZonePlan): Piece[] {
  const share = (ms: number): number => (ms / props.spanMs) * 100
  const hours = design.documents[plan.id]?.hours
  if (!hours && !plan.cycle_ms) {
    const word = t(plan.items[0]?.kind === 'standby' ? 'rail.nothing' : 'rail.steady')
    return [{ from: share(props.fromMs), to: share(props.toMs), word }]
  }
  const all: Piece[] = []
  for (let at = 0; at < props.toMs - props.fromMs && all.length < MOST;) {
    const now = showingNow(plan, hours, at, design.beganMs + at)
    const ms = now ? (now.leftMs ?? Infinity) : edgeAfter(hours, design.beganMs + at) - design.beganMs - at
    const to = Math.min(props.toMs, props.fromMs + at + ms)
    if (now) all.push({ from: share(props.fromMs + at), to: share(to), word: wordOf(plan, now.index) })
    at += ms
  }
  return all
}
</script>

<template>
  <div v-for="plan in design.plans" :key="plan.id" class="lane" :class="{ chosen: plan.id === design.selected }">
    <span
      v-for="(piece, index) in pieces(plan)"
      :key="index"
      class="piece"
      :class="{ steady: plan.cycle_ms === null }"
      :title="piece.word"
      :style="{ left: `${piece.from}%`, width: `${piece.to - piece.from}%` }">
      {{ piece.word }}
    </span>
  </div>
</template>
