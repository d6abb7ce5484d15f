<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Starter } from '../../api/floats'
import RefusalNote from '../../ui/RefusalNote.vue'
import { useDesign } from '../store/design'
import { useGlazing } from '../store/useGlazing'
import { useStarters } from '../store/useStarters'

/** Glazings to begin with, drawn at the canvas' true ratio; those that suit it first, all others on demand. */
const props = defineProps<{ zone: string }>()
const { t } = useI18n()
const design = useDesign()
const glazing = useGlazing()
const own = useStarters()
const all = ref(false)
const canvas = computed(() => design.answer?.canvas ?? [1, 1])
const shown = computed(() => design.bench.starters.filter((starter) => all.value || starter.suits))
/** So that very wide and very high canvases stay within a line. */
const style = computed(() => ({
  aspectRatio: canvas.value.join(' / '),
  width: `${Math.min(96, (64 * canvas.value[0]!) / canvas.value[1]!)}px`,
}))
/** Those of the app are called by a code, own ones by their name. */
const called = (starter: Starter): string => (starter.own ? starter.name : t(`starter.${starter.name}`))
const label = (rects: number[][]): string => rects.map(([, , width, height]) => `${width} × ${height}`).join(', ')
</script>

<template>
  <section class="starters" :aria-label="t('starter.title')">
    <h3>{{ t('starter.title') }}</h3>
    <div class="starter-grid">
      <div v-for="starter in shown" :key="starter.own ?? starter.name" class="starter-one">
        <button
          type="button"
          class="starter"
          :title="`${called(starter)}: ${label(starter.panes)} px`"
          :aria-label="`${called(starter)}: ${label(starter.panes)} px`"
          @click="glazing.put(props.zone, starter.tree)">
          <svg :viewBox="`0 0 ${canvas[0]} ${canvas[1]}`" :style="style" preserveAspectRatio="none" aria-hidden="true">
            <rect v-for="(rect, index) in starter.panes" :key="index" :x="rect[0]" :y="rect[1]" :width="rect[2]" :height="rect[3]" />
          </svg>
        </button>
        <button
          v-if="starter.own"
          type="button"
          class="plain"
          :aria-label="t('starter.remove', { name: starter.name })"
          @click="starter.own && own.remove(starter.own, starter.name)">
          {{ starter.name }} ×
        </button>
      </div>
    </div>
    <RefusalNote :error="own.error.value" />
    <p v-if="own.gone.value" role="status">
      {{ t('starter.gone', { name: own.gone.value }) }}
      <button type="button" class="plain" @click="own.bringBack">{{ t('bench.bring-back') }}</button>
    </p>
    <button type="button" class="plain" :aria-expanded="all" @click="all = !all">{{ t(all ? 'starter.fewer' : 'starter.all') }}</button>
  </section>
</template>
