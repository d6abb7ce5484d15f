<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Resolved, ResolvedPanel } from '../api/surfaces'
import { usePanelDrag } from './usePanelDrag'

/** The panels as they hang, seen from the front, to scale in mm: bezels, hatched seams, letters, which edge is a turned panel's own top. */
const props = defineProps<{
  shape: Resolved
  label: string
  chosen?: string[]
  lit?: string | null
  words?: (panel: ResolvedPanel) => string[]
  movable?: boolean
  pickable?: boolean
}>()
const emit = defineEmits<{ pick: [id: string]; hover: [id: string | null]; move: [id: string, byMm: [number, number]] }>()
const { t } = useI18n()
const svg = ref<SVGSVGElement>()

const mm = (um: number): number => um / 1000
const frame = computed(() => {
  const edges = props.shape.panels.map(outer)
  const left = Math.min(...edges.map((edge) => edge[0]))
  const top = Math.min(...edges.map((edge) => edge[1]))
  return [
    left,
    top,
    Math.max(...edges.map((edge) => edge[0] + edge[2])) - left,
    Math.max(...edges.map((edge) => edge[1] + edge[3])) - top,
  ] as const
})
const margin = computed(() => Math.max(frame.value[2], frame.value[3]) * 0.09)
const view = computed(() => [
  frame.value[0] - margin.value,
  frame.value[1] - margin.value,
  frame.value[2] + 2 * margin.value,
  frame.value[3] + 2 * margin.value,
])
const letter = computed(() => Math.min(...props.shape.panels.map((panel) => Math.min(mm(panel.face_um[2]), mm(panel.face_um[3])))) * 0.3)
const { drag, start } = usePanelDrag(
  () => 1 / (svg.value?.getScreenCTM()?.a ?? 1),
  (id, by) => emit('move', id, by),
)

function outer(panel: ResolvedPanel): [number, number, number, number] {
  const [x, y, width, height] = panel.face_um.map(mm) as [number, number, number, number]
  const [left, top, right, bottom] = panel.bezel_um.map(mm) as [number, number, number, number]
  return [x - left, y - top, width + left + right, height + top + bottom]
}
const offset = (panel: ResolvedPanel): string => (drag.value?.id === panel.id ? `translate(${drag.value.by[0]} ${drag.value.by[1]})` : '')
/** A triangle on the edge that is the panel's own top. */
function topMark(panel: ResolvedPanel): string {
  const [x, y, width, height] = panel.face_um.map(mm) as [number, number, number, number]
  const size = letter.value * 0.3
  if (panel.rotation === 90) return `M${x + width - size} ${y + height / 2 - size}l${size} ${size}l${-size} ${size}z`
  if (panel.rotation === 180) return `M${x + width / 2 - size} ${y + height - size}l${size} ${size}l${size} ${-size}z`
  if (panel.rotation === 270) return `M${x + size} ${y + height / 2 - size}l${-size} ${size}l${size} ${size}z`
  return `M${x + width / 2 - size} ${y + size}l${size} ${-size}l${size} ${size}z`
}
function keys(panel: ResolvedPanel, event: KeyboardEvent): void {
  if (event.key === 'Enter' || event.key === ' ') {
    event.preventDefault()
    emit('pick', panel.id)
  }
  const steps: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }
  const step = steps[event.key]
  if (!step || !props.movable) return
  event.preventDefault()
  const by = event.shiftKey ? 10 : 1
  emit('move', panel.id, [step[0] * by, step[1] * by])
}
const name = (panel: ResolvedPanel): string =>
  t('shape.panel', {
    letter: panel.letter,
    number: String(panel.number),
    width: String(panel.native[0]),
    height: String(panel.native[1]),
    turn: String(panel.rotation),
  })
</script>

<template>
  <svg ref="svg" class="shape-drawing" :viewBox="view.join(' ')" role="group" :aria-label="label">
    <defs>
      <pattern id="seam-hatch" width="10" height="10" patternUnits="userSpaceOnUse" :patternTransform="`scale(${margin / 60}) rotate(45)`">
        <path d="M0 0v10" stroke="#1d2a33" stroke-width="4" />
      </pattern>
    </defs>
    <rect :x="frame[0]" :y="frame[1]" :width="frame[2]" :height="frame[3]" fill="url(#seam-hatch)" class="behind" />
    <g
      v-for="panel in shape.panels"
      :key="panel.id"
      class="panel"
      :class="{ chosen: chosen?.includes(panel.id), lit: lit === panel.id, pickable: pickable || movable }"
      :transform="offset(panel)"
      :data-panel="panel.id"
      :role="pickable || movable ? 'button' : 'img'"
      :tabindex="pickable || movable ? 0 : undefined"
      :aria-label="[name(panel), ...(words?.(panel) ?? [])].join(', ')"
      :aria-pressed="pickable ? (chosen?.includes(panel.id) ?? false) : undefined"
      @click="emit('pick', panel.id)"
      @keydown="keys(panel, $event)"
      @pointerenter="emit('hover', panel.id)"
      @pointerleave="emit('hover', null)"
      @focus="emit('hover', panel.id)"
      @blur="emit('hover', null)"
      @pointerdown="movable && start(panel.id, $event)">
      <rect :x="outer(panel)[0]" :y="outer(panel)[1]" :width="outer(panel)[2]" :height="outer(panel)[3]" class="bezel" />
      <rect
        :x="mm(panel.face_um[0])"
        :y="mm(panel.face_um[1])"
        :width="mm(panel.face_um[2])"
        :height="mm(panel.face_um[3])"
        class="picture" />
      <path :d="topMark(panel)" class="top-mark" />
      <text
        :x="mm(panel.face_um[0] + panel.face_um[2] / 2)"
        :y="mm(panel.face_um[1] + panel.face_um[3] / 2)"
        :font-size="letter"
        text-anchor="middle"
        dominant-baseline="central"
        class="panel-letter">
        {{ panel.letter }}
      </text>
      <text
        v-for="(line, index) in words?.(panel) ?? []"
        :key="index"
        :x="mm(panel.face_um[0] + panel.face_um[2] / 2)"
        :y="mm(panel.face_um[1] + panel.face_um[3] / 2) + letter * (0.85 + 0.42 * index)"
        :font-size="letter * 0.34"
        text-anchor="middle"
        class="panel-words">
        {{ line }}
      </text>
    </g>
  </svg>
</template>
