<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { ZonePlan } from '../../plan/types'
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
function pieces({ cycle_ms: cycle, items }: ZonePlan): Piece[] {
  const share = (ms: number): number => (ms / props.spanMs) * 100
  if (cycle === null || cycle === 0) {
    const word = t(items[0]?.kind === 'standby' ? 'rail.nothing' : 'rail.steady')
    return [{ from: share(props.fromMs), to: share(props.toMs), word }]
  }
  const all: Piece[] = []
  for (let at = props.fromMs; at < props.toMs && all.length < 400;) {
    for (const [index, item] of items.entries()) {
      const to = Math.min(props.toMs, at + (item.ms ?? 0))
      if (at < props.toMs) all.push({ from: share(at), to: share(to), word: `${index + 1}` })
      at += item.ms ?? 0
    }
  }
  return all.slice(0, 400)
}
</script>

<template>
  <div v-for="plan in design.plans" :key="plan.id" class="lane" :class="{ chosen: plan.id === design.selected }">
    <span
      v-for="(piece, index) in pieces(plan)"
      :key="index"
      class="piece"
      :class="{ steady: plan.cycle_ms === null }"
      :style="{ left: `${piece.from}%`, width: `${piece.to - piece.from}%` }">
      {{ piece.word }}
    </span>
  </div>
</template>
