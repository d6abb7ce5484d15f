<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { pixels } from '../../ui/format'
import StateGlyph from '../../ui/StateGlyph.vue'
import { useDesign } from '../store/design'
import { useFloats } from '../store/useFloats'

/** The floats of this layout, the front one first: for what lies under something else, and for their order. */
const { t } = useI18n()
const design = useDesign()
const floats = useFloats()
const editable = computed(() => design.mayChange)
const [UP, DOWN] = ['↑', '↓']
const has = (zone: string, trait: 'hidden' | 'locked'): boolean => design.bench.floats[zone]?.[trait] === true
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
        :class="{ current: design.chosen.includes(plan.id), away: plan.hidden }"
        :draggable="editable"
        @dragstart="$event.dataTransfer?.setData('text/x-float', plan.id)"
        @dragover.prevent
        @drop.prevent="drop($event, plan.id)">
        <div class="layer-what">
          <button
            type="button"
            class="plain"
            :aria-pressed="design.chosen.includes(plan.id)"
            @click="floats.chooseAll([plan.id], true)"
            @keydown="keys(plan.id, $event)">
            <b class="letter">{{ plan.letter }}</b>
            {{ plan.name || t(`fill.${design.documents[plan.id]?.fill.kind ?? 'empty'}`) }}
          </button>
          <span class="measure">{{ pixels(plan.rect[2], plan.rect[3]) }}</span>
        </div>
        <template v-if="editable">
          <button
            v-for="trait in ['hidden', 'locked'] as const"
            :key="trait"
            type="button"
            class="plain state-glyph"
            :aria-pressed="has(plan.id, trait)"
            :aria-label="t(`layers.${trait}`, { letter: plan.letter })"
            :title="t(`layers.${trait}`, { letter: plan.letter })"
            @click="floats.traits([plan.id], { [trait]: !has(plan.id, trait) })">
            <StateGlyph :what="trait" :on="has(plan.id, trait)" />
          </button>
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
