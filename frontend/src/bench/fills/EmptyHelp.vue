<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Fill } from '../../api/types'
import { faceOf, goOn } from '../../ui/focus'
import { useDesign } from '../store/design'
import { halvesOf } from '../store/parts'
import StarterGrid from '../canvas/StarterGrid.vue'

/** An empty pane says what can be done with it. */
const props = defineProps<{ zone: string }>()
const emit = defineEmits<{ fill: [kind: Fill['kind']]; stock: [] }>()
const { t } = useI18n()
const design = useDesign()
/** In their order; a kind that is added does not compile without saying whether it is offered. */
const OFFERED: Record<Fill['kind'], boolean> = {
  text: true,
  clock: true,
  dial: true,
  count: true,
  progress: true,
  qr: true,
  shape: true,
  chart: true,
  web: true,
  live: true,
  colour: true,
  playlist: true,
  // These come from the Stock, and this is what one begins with.
  picture: false,
  video: false,
  empty: false,
}
const kinds = (Object.keys(OFFERED) as Fill['kind'][]).filter((kind) => OFFERED[kind])
const split = (axis: 'x' | 'y'): void =>
  void goOn(() => design.split(props.zone, axis, halvesOf(design.bench, props.zone)[axis].at), faceOf(props.zone))
</script>

<template>
  <StarterGrid v-if="design.bench.starters.length && design.bench.parts[zone] === undefined && !design.zones[zone]?.float" :zone="zone" />
  <div class="empty-help">
    <h3>{{ t('empty.fill') }}</h3>
    <div class="button-row">
      <button type="button" class="btn btn-sm btn-primary" @click="emit('stock')">{{ t('empty.stock') }}</button>
      <button v-for="kind in kinds" :key="kind" type="button" class="btn btn-sm btn-outline-dark" @click="emit('fill', kind)">
        {{ t(`fill.${kind}`) }}
      </button>
    </div>
    <template v-if="!design.zones[zone]?.float">
      <h3>{{ t('empty.split') }}</h3>
      <div class="button-row">
        <button type="button" class="btn btn-sm btn-outline-dark" @click="split('x')">
          {{ t('empty.columns') }}
          <kbd>|</kbd>
        </button>
        <button type="button" class="btn btn-sm btn-outline-dark" @click="split('y')">
          {{ t('empty.rows') }}
          <kbd>-</kbd>
        </button>
      </div>
      <p class="hint">{{ t('empty.hint') }}</p>
    </template>
  </div>
</template>
