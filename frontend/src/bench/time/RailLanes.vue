<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { edgeAfter } from '../../plan/edges'
import type { ListHours, ZonePlan } from '../../plan/types'
import { seconds } from '../../ui/format'
import { useDesign } from '../store/design'
import { useEdgeDrag, type Edge } from './useEdgeDrag'
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
  /** ms of the rail. */
  fromMs: number
  toMs: number
  word: string
  /** Whose end its end is. */
  edge?: Edge
}
const MOST = 400
/** How long nothing shows: to the next step of its leader, or to where something of the list is on again. */
function nothingFor(plan: ZonePlan, hours: ListHours | undefined, at: number): number {
  const leader = plan.follows && design.zones[plan.follows.zone]
  return (leader && turn(leader, at)?.leftMs) ?? edgeAfter(hours, design.beganMs + at) - design.beganMs - at
}
/** Whether the lengths of its entries are its own: not its leader's, nor those of a playlist of the Stock. */
function isOwn(plan: ZonePlan): boolean {
  const fill = design.documents[plan.id]?.fill
  return fill?.kind === 'playlist' && !fill.of && !plan.follows
}
function pieces(plan: ZonePlan): Piece[] {
  const hours = design.documents[plan.follows?.zone ?? plan.id]?.hours
  if (!hours && (!plan.cycle_ms || plan.items[0]?.entry === null)) {
    const word = t(plan.items[0]?.kind === 'standby' ? 'rail.nothing' : 'rail.steady')
    return [{ fromMs: props.fromMs, toMs: props.toMs, word }]
  }
  const all: Piece[] = []
  for (let at = 0; at < props.toMs - props.fromMs && all.length < MOST;) {
    const now = turn(plan, at)
    const ms = now ? (now.leftMs ?? Infinity) : nothingFor(plan, hours, at)
    const fromMs = props.fromMs + at
    const toMs = Math.min(props.toMs, fromMs + ms)
    const entry = plan.items[now?.index ?? -1]?.entry
    const edge = entry && now?.sinceMs === 0 && toMs === fromMs + ms && isOwn(plan) ? { zone: plan.id, entry, fromMs } : null
    if (now)
      all.push({ fromMs, toMs, word: wordOf(plan, now.index), ...(edge ? { edge: { ...edge, key: `${plan.id} ${all.length}` } } : {}) })
    at += ms
  }
  return all
}
const all = computed(() => lanes.value.map(({ plan }) => ({ plan, pieces: pieces(plan) })))
/** Where the entries of other lanes end, those of the leader among them. */
const edges = (but: string): number[] => all.value.flatMap(({ plan, pieces }) => (plan.id === but ? [] : pieces.map((piece) => piece.toMs)))
const { dragged, press } = useEdgeDrag(() => props.spanMs, edges)
const isDragged = (piece: Piece): boolean => !!piece.edge && piece.edge.key === dragged.value?.key
function place(piece: Piece): { left: string; width: string } {
  const share = (ms: number): string => `${(ms / props.spanMs) * 100}%`
  const toMs = isDragged(piece) ? (dragged.value?.toMs ?? piece.toMs) : piece.toMs
  return { left: share(piece.fromMs), width: share(toMs - piece.fromMs) }
}
</script>

<template>
  <div v-for="lane in all" :key="lane.plan.id" class="lane" :class="{ chosen: lane.plan.id === design.selected }">
    <span
      v-for="(piece, index) in lane.pieces"
      :key="index"
      class="piece"
      :class="{ steady: lane.plan.cycle_ms === null, dragged: isDragged(piece) }"
      :title="piece.word"
      :style="place(piece)">
      {{ isDragged(piece) ? seconds(dragged?.ms ?? null) : piece.word }}
      <i v-if="piece.edge && design.mayChange" class="edge" :title="t('rail.edge')" @pointerdown="press($event, piece.edge)" />
    </span>
  </div>
</template>
