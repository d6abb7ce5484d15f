<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { planOf } from '../../api/designs'
import type { DatedPlan } from '../../plan/types'
import { pixels } from '../../ui/format'
import { useDesign } from '../store/design'
import PanelStill from '../canvas/PanelStill.vue'

/** One panel's picture alone: as it hangs, and as its signal carries it when the panel is mounted turned. */
defineProps<{ tMs: number }>()
const { t } = useI18n()
const design = useDesign()
const plan = shallowRef<DatedPlan | null>(null)
const letters = computed(() => Object.keys(design.answer?.panels ?? {}))
const chosen = ref(design.zone?.panels[0] ?? letters.value[0] ?? 'A')
const panel = computed(() => plan.value?.panels[letters.value.indexOf(chosen.value)] ?? null)

watch(
  () => design.answer?.revision,
  async () => {
    plan.value = (await planOf(design.id)) ?? plan.value
  },
  { immediate: true },
)
</script>

<template>
  <h3>{{ t('wall.alone') }}</h3>
  <div class="button-row" role="group" :aria-label="t('wall.alone')">
    <button
      v-for="letter in letters"
      :key="letter"
      type="button"
      class="btn btn-sm btn-outline-dark"
      :class="{ active: letter === chosen }"
      :aria-pressed="letter === chosen"
      :aria-label="t('wall.panel', { letter })"
      @click="chosen = letter">
      {{ letter }}
    </button>
  </div>
  <template v-if="plan && panel">
    <figure class="panel-figure">
      <PanelStill :plan="plan" :panel="panel" :signal="false" :width="308" :height="210" :t-ms="tMs" />
      <figcaption class="hint">
        {{ t('wall.as-it-hangs') }}
        <span class="measure">{{ pixels(panel.rect[2], panel.rect[3]) }}</span>
      </figcaption>
    </figure>
    <figure v-if="panel.turn !== 0" class="panel-figure">
      <PanelStill :plan="plan" :panel="panel" signal :width="308" :height="210" :t-ms="tMs" />
      <figcaption class="hint">{{ t('wall.as-signal', { turn: String(panel.turn) }) }}</figcaption>
    </figure>
  </template>
</template>
