<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { ProblemError } from '../../api/client'
import type { Rect } from '../../plan/types'
import { followPointer } from '../../ui/followPointer'
import { pixels } from '../../ui/format'
import { useDesign } from '../store/design'
import { useDrawing } from './drawing'
import { useFloats } from '../store/useFloats'

/** Cells over the canvas: dragged over, or chosen by arrows, they become a pane; where that cannot be tiled, a float is offered. */
const props = defineProps<{ scale: number }>()
const { t } = useI18n()
const design = useDesign()
const drawing = useDrawing()
const floats = useFloats()
const root = ref<HTMLElement>()
/** Columns and rows where the choice begins and ends, both included. */
const from = ref<[number, number]>([0, 0])
const to = ref<[number, number]>([0, 0])
const blocked = ref<Rect | null>(null)
const edges = computed(() => design.bench.lattice ?? { x: [0], y: [0] })
const SHARES = 1000

const span = (axis: 0 | 1): [number, number] => [Math.min(from.value[axis], to.value[axis]), Math.max(from.value[axis], to.value[axis]) + 1]
const cells = computed(() => {
  const [columns, rows] = [span(0), span(1)]
  return { columns: columns[1] - columns[0], rows: rows[1] - rows[0] }
})
const rect = computed<Rect>(() => {
  const [x, y] = [span(0).map((at) => edges.value.x[at] ?? 0), span(1).map((at) => edges.value.y[at] ?? 0)]
  return [x[0]!, y[0]!, x[1]! - x[0]!, y[1]! - y[0]!]
})
const words = computed(() =>
  t('lattice.cells', {
    columns: String(cells.value.columns),
    rows: String(cells.value.rows),
    size: pixels(rect.value[2], rect.value[3]),
    ratio: String(Math.round((rect.value[2] / rect.value[3]) * SHARES) / SHARES),
  }),
)
const box = computed(() => ({
  left: `${rect.value[0] * props.scale}px`,
  top: `${rect.value[1] * props.scale}px`,
  width: `${rect.value[2] * props.scale}px`,
  height: `${rect.value[3] * props.scale}px`,
}))
const cellAt = (event: PointerEvent): [number, number] => {
  const sheet = root.value?.getBoundingClientRect()
  const along = (all: number[], px: number): number => Math.min(all.length - 2, Math.max(0, all.filter((edge) => edge <= px).length - 1))
  return [
    along(edges.value.x, (event.clientX - (sheet?.left ?? 0)) / props.scale),
    along(edges.value.y, (event.clientY - (sheet?.top ?? 0)) / props.scale),
  ]
}
function press(event: PointerEvent): void {
  if (event.button !== 0) return
  blocked.value = null
  from.value = to.value = cellAt(event)
  followPointer(
    (moved) => (to.value = cellAt(moved)),
    (kept) => kept && void carve(),
  )
}
/** The pane under the first cell is set to the cells; the core says whether that tiles. */
async function carve(): Promise<void> {
  const [x, y] = [edges.value.x[from.value[0]] ?? 0, edges.value.y[from.value[1]] ?? 0]
  const pane = design.plans.find(
    (plan) => !plan.float && plan.rect[0] <= x && x < plan.rect[0] + plan.rect[2] && plan.rect[1] <= y && y < plan.rect[1] + plan.rect[3],
  )
  if (!pane) return
  if (await design.span(pane.id, [rect.value])) {
    design.selected = pane.id
    return
  }
  if (design.refusal instanceof ProblemError && /^(span|part)\./.test(design.refusal.problem.code)) {
    design.refusedHere = true
    blocked.value = rect.value
  }
}
async function asFloat(): Promise<void> {
  const wanted = blocked.value
  blocked.value = null
  if (wanted) await floats.place(wanted, 'empty')
}
function keys(event: KeyboardEvent): void {
  const steps: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }
  const step = steps[event.key]
  if (step) {
    const limit = (at: number, all: number[]): number => Math.min(all.length - 2, Math.max(0, at))
    to.value = [limit(to.value[0] + step[0], edges.value.x), limit(to.value[1] + step[1], edges.value.y)]
    if (!event.shiftKey) from.value = to.value
    blocked.value = null
  } else if (event.key === 'Enter') void carve()
  else if (event.key === 'Escape') drawing.carving = false
  else return
  event.preventDefault()
  event.stopPropagation()
}
onMounted(() => root.value?.focus())
</script>

<template>
  <div
    ref="root"
    class="lattice-layer"
    tabindex="0"
    role="application"
    :aria-label="t('lattice.title')"
    @pointerdown="press"
    @keydown="keys">
    <svg class="lattice-lines" aria-hidden="true">
      <path :d="edges.x.map((at) => `M${at * scale} 0V${edges.y.at(-1)! * scale}`).join('')" />
      <path :d="edges.y.map((at) => `M0 ${at * scale}H${edges.x.at(-1)! * scale}`).join('')" />
    </svg>
    <div class="sketched" :style="box">
      <span class="measure" aria-live="polite">{{ words }}</span>
    </div>
  </div>
  <div v-if="blocked" class="lattice-offer questions" role="alertdialog" :aria-label="t('lattice.as-float')">
    <p>{{ design.refusal instanceof ProblemError ? design.refusal.problem.title : '' }}</p>
    <button type="button" class="btn btn-sm btn-primary" @click="asFloat">{{ t('lattice.as-float') }}</button>
    <button type="button" class="btn btn-sm btn-outline-dark" @click="blocked = null">{{ t('surface.keep') }}</button>
  </div>
</template>
