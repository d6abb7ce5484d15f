<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useDesign } from '../store/design'
import { useGoing } from './useGoing'
import { useLanes } from './useLanes'

/** The letters of the lanes. One that is dragged onto another's goes in step with it; dragged off, it goes by itself. */
defineProps<{ banded: boolean }>()
const { t } = useI18n()
const design = useDesign()
const lanes = useLanes()
const going = useGoing()
/** The lane under the pointer, while a letter is dragged. */
const over = ref<string | null>(null)
const dragged = ref<string | null>(null)

const laneAt = ({ clientX, clientY }: PointerEvent): string | null =>
  document.elementFromPoint(clientX, clientY)?.closest<HTMLElement>('[data-lane]')?.dataset['lane'] ?? null
function press(event: PointerEvent, zone: string): void {
  design.selected = zone
  if (event.button !== 0 || !design.mayChange) return
  const [x, y] = [event.clientX, event.clientY]
  const move = (at: PointerEvent): void => {
    if (dragged.value === null && Math.hypot(at.clientX - x, at.clientY - y) < 6) return
    dragged.value = zone
    const lane = laneAt(at)
    over.value = lane === zone ? null : lane
  }
  const end = (at: PointerEvent): void => {
    removeEventListener('pointermove', move)
    const [was, to] = [dragged.value, laneAt(at)]
    dragged.value = over.value = null
    if (was === null || at.type === 'pointercancel' || to === was) return
    if (to) void going.goBy(was, design.zones[to]?.follows?.zone ?? to)
    else if (design.documents[was]?.follows) void going.goBy(was, 'scene')
  }
  addEventListener('pointermove', move)
  addEventListener('pointerup', end, { once: true })
  addEventListener('pointercancel', end, { once: true })
}
</script>

<template>
  <div class="lane-letters" :class="{ dragging: dragged }" aria-hidden="true">
    <div v-if="banded" class="scene-band" />
    <button
      v-for="{ plan, group } in lanes"
      :key="plan.id"
      type="button"
      tabindex="-1"
      :data-lane="plan.id"
      :class="[group && `group-${group}`, { chosen: plan.id === design.selected, over: plan.id === over }]"
      :title="`${plan.name} ${t('rail.drag')}`.trim()"
      @pointerdown="press($event, plan.id)">
      {{ plan.letter }}
    </button>
  </div>
</template>

<style scoped>
.lane-letters button {
  position: relative;
  cursor: grab;
  touch-action: none;
  user-select: none;
}
.lane-letters.dragging button {
  cursor: grabbing;
}
.lane-letters .over {
  outline: 2px solid var(--verdigris);
  outline-offset: -2px;
}
/* The bracket of a group, at the left. */
.lane-letters [class*='group-']::before {
  content: '';
  position: absolute;
  left: 2px;
  top: -1px;
  bottom: -1px;
  width: 5px;
  border-left: 2px solid var(--verdigris);
}
.lane-letters .group-first::before {
  top: 9px;
  border-top: 2px solid var(--verdigris);
}
.lane-letters .group-last::before {
  bottom: 9px;
  border-bottom: 2px solid var(--verdigris);
}
</style>
