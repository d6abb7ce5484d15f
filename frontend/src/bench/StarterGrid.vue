<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useDesign } from './design'
import { useGlazing } from './useGlazing'

/** Glazings to begin with, drawn at the canvas' true ratio; those that suit it first, all others on demand. */
const props = defineProps<{ zone: string }>()
const { t } = useI18n()
const design = useDesign()
const glazing = useGlazing()
const all = ref(false)
const canvas = computed(() => design.answer?.canvas ?? [1, 1])
const shown = computed(() => design.bench.starters.filter((starter) => all.value || starter.suits))
/** So that very wide and very high canvases stay within a line. */
const style = computed(() => ({
  aspectRatio: canvas.value.join(' / '),
  width: `${Math.min(96, (64 * canvas.value[0]!) / canvas.value[1]!)}px`,
}))
const label = (rects: number[][]): string => rects.map(([, , width, height]) => `${width} × ${height}`).join(', ')
</script>

<template>
  <section class="starters" :aria-label="t('starter.title')">
    <h3>{{ t('starter.title') }}</h3>
    <div class="starter-grid">
      <button
        v-for="starter in shown"
        :key="starter.name"
        type="button"
        class="starter"
        :title="`${t(`starter.${starter.name}`)}: ${label(starter.panes)} px`"
        :aria-label="`${t(`starter.${starter.name}`)}: ${label(starter.panes)} px`"
        @click="glazing.put(props.zone, starter.tree)">
        <svg :viewBox="`0 0 ${canvas[0]} ${canvas[1]}`" :style="style" preserveAspectRatio="none" aria-hidden="true">
          <rect v-for="(rect, index) in starter.panes" :key="index" :x="rect[0]" :y="rect[1]" :width="rect[2]" :height="rect[3]" />
        </svg>
      </button>
    </div>
    <button type="button" class="plain" :aria-expanded="all" @click="all = !all">{{ t(all ? 'starter.fewer' : 'starter.all') }}</button>
  </section>
</template>
