<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { edgeAfter } from '../../plan/edges'
import type { ListHours, ZonePlan } from '../../plan/types'
import { useDesign } from '../store/design'
import { useEntryWords } from './useEntryWords'
import { useLanes } from './useLanes'
import { useTurns } from './useTurns'

/** What each zone shows along the rail: drawn anew when a plan changes, not with every step of the playhead. */
const props = defineProps<{ fromMs: number; toMs: number; spanMs: number }>()
const { t } = useI18n()
const design = useDesign()
const turn = useTurns()
const wordOf = useEntryWords()
const lanes = useLanes()

interface Piece {
  from: number
  to: number
  word: string
}
const MOST = 400
/** How long nothing shows: to the next step of its leader, or to where something of the list is on again. */
function nothingFor(plan: ZonePlan, hours: ListHours | undefined, at: number): number {
  const leader = plan.follows && design.zones[plan.follows.zone]
  return (leader && turn(leader, at)?.leftMs) ?? edgeAfter(hours, design.beganMs + at) - design.beganMs - at
}
function pieces(plan: ZonePlan): Piece[] {
  const share = (ms: number): number => (ms / props.spanMs) * 100
  const hours = design.documents[plan.follows?.zone ?? plan.id]?.hours
  if (!hours && (!plan.cycle_ms || plan.items[0]?.entry === null)) {
    const word = t(plan.items[0]?.kind === 'standby' ? 'rail.nothing' : 'rail.steady')
    return [{ from: share(props.fromMs), to: share(props.toMs), word }]
  }
  const all: Piece[] = []
  for (let at = 0; at < props.toMs - props.fromMs && all.length < MOST;) {
    const now = turn(plan, at)
    const ms = now ? (now.leftMs ?? Infinity) : nothingFor(plan, hours, at)
    const to = Math.min(props.toMs, props.fromMs + at + ms)
    if (now) all.push({ from: share(props.fromMs + at), to: share(to), word: wordOf(plan, now.index) })
    at += ms
  }
  return all
}
</script>

<template>
  <div v-for="{ plan } in lanes" :key="plan.id" class="lane" :class="{ chosen: plan.id === design.selected }">
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
