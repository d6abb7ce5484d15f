<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import FindingLines from '../../ui/FindingLines.vue'
import FindingMark from '../../ui/FindingMark.vue'
import PlanStill from '../../ui/PlanStill.vue'
import RefusalNote from '../../ui/RefusalNote.vue'
import { pixels } from '../../ui/format'
import type { ZonePlan } from '../../plan/types'
import type { Beside } from './useBeside'
import { worstOf } from '../../ui/severity'

/** The same design on other surfaces and in other styles, side by side, with what does not fit there. */
defineProps<{ sheets: Beside[]; tMs: number; error: unknown }>()
const emit = defineEmits<{ away: [sheet: Beside] }>()
const { t } = useI18n()
const zones = (sheet: Beside): ZonePlan[] => [
  ...new Map(
    Object.values(sheet.plan.scenes)
      .flatMap((scene) => scene.zones)
      .map((zone) => [zone.id, zone]),
  ).values(),
]
const worst = (sheet: Beside) => worstOf(sheet.findings)
</script>

<template>
  <section class="beside" :aria-label="t('beside.title')">
    <RefusalNote :error="error" />
    <article v-for="sheet in sheets" :key="sheet.code" class="beside-sheet" :data-beside="sheet.code">
      <h3>
        {{ sheet.name }}
        <button type="button" class="plain" :aria-label="t('beside.away', { name: sheet.name })" @click="emit('away', sheet)">×</button>
      </h3>
      <p class="measure">{{ pixels(...sheet.plan.canvas) }}</p>
      <PlanStill :plan="sheet.plan" :width="300" :height="250" :t-ms="tMs" />
      <details>
        <summary>
          <FindingMark v-if="worst(sheet)" :severity="worst(sheet)!" />
          {{ t('beside.findings', { count: sheet.findings.length }) }}
        </summary>
        <FindingLines :findings="sheet.findings" />
        <ul class="lines sizes">
          <li v-for="zone in zones(sheet)" :key="zone.id" class="line">
            <b class="letter">{{ zone.letter }}</b>
            <span class="measure">{{ pixels(zone.rect[2], zone.rect[3]) }}</span>
          </li>
        </ul>
      </details>
    </article>
  </section>
</template>
