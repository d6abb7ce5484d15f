<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Fill } from '../api/types'
import { faceOf, goOn } from '../ui/focus'
import { useDesign } from './design'
import { halvesOf } from './parts'
import StarterGrid from './StarterGrid.vue'

/** An empty pane says what can be done with it. */
const props = defineProps<{ zone: string }>()
const emit = defineEmits<{ fill: [kind: Fill['kind']]; stock: [] }>()
const { t } = useI18n()
const design = useDesign()
const kinds = ['text', 'clock', 'dial', 'count', 'progress', 'qr', 'shape', 'chart', 'web', 'live', 'colour', 'playlist'] as const
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
