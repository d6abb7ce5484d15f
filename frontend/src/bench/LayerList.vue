<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useSession } from '../session/session'
import { pixels } from '../ui/format'
import { useDesign } from './design'
import { useFloats } from './useFloats'

/** The floats of this layout, the front one first: for what lies under something else, and for their order. */
const { t } = useI18n()
const design = useDesign()
const session = useSession()
const floats = useFloats()
const editable = computed(() => session.may('design', design.answer?.surface?.site))
const [UP, DOWN] = ['↑', '↓']
const lines = computed(() => [...floats.all()].reverse().flatMap((zone) => design.zones[zone] ?? []))

function keys(zone: string, event: KeyboardEvent): void {
  const by = { ArrowUp: 1, ArrowDown: -1 }[event.key]
  if (!by || !event.altKey || !editable.value) return
  event.preventDefault()
  void floats.order(zone, by as 1 | -1)
}
function drop(event: DragEvent, onto: string): void {
  const zone = event.dataTransfer?.getData('text/x-float') ?? ''
  if (!zone || zone === onto || !floats.isFloat(zone)) return
  // Dropped on a line it comes right in front of it.
  const order = floats.all()
  void floats.putBehind(zone, order[order.indexOf(onto) + 1] ?? null)
}
</script>

<template>
  <section v-if="lines.length" class="layers" :aria-label="t('layers.title')">
    <h3>{{ t('layers.title') }}</h3>
    <ol class="lines">
      <li
        v-for="(plan, index) in lines"
        :key="plan.id"
        class="line layer-line"
        :class="{ current: design.chosen.includes(plan.id) }"
        :draggable="editable"
        @dragstart="$event.dataTransfer?.setData('text/x-float', plan.id)"
        @dragover.prevent
        @drop.prevent="drop($event, plan.id)">
        <button
          type="button"
          class="plain"
          :aria-pressed="design.chosen.includes(plan.id)"
          @click="floats.chooseAll([plan.id])"
          @keydown="keys(plan.id, $event)">
          <b class="letter">{{ plan.letter }}</b>
          {{ plan.name || t(`fill.${design.documents[plan.id]?.fill.kind ?? 'empty'}`) }}
        </button>
        <span class="measure">{{ pixels(plan.rect[2], plan.rect[3]) }}</span>
        <template v-if="editable">
          <button
            type="button"
            class="plain"
            :disabled="index === 0"
            :aria-label="t('layers.forward', { letter: plan.letter })"
            @click="floats.order(plan.id, 1)">
            {{ UP }}
          </button>
          <button
            type="button"
            class="plain"
            :disabled="index === lines.length - 1"
            :aria-label="t('layers.back', { letter: plan.letter })"
            @click="floats.order(plan.id, -1)">
            {{ DOWN }}
          </button>
        </template>
      </li>
    </ol>
  </section>
</template>
