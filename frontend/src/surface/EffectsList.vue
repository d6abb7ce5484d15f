<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Effects } from '../api/surfaces'
import FindingLines from '../ui/FindingLines.vue'
import PlanStill from '../ui/PlanStill.vue'
import { pixels } from '../ui/format'

/** What would become of every design: drawn on the surface as it would be, each zone before and after, and what is then wrong. */
defineProps<{ effects: Effects }>()
const { t } = useI18n()
</script>

<template>
  <section class="effects" role="status">
    <h3>{{ t('surface.effects', { before: pixels(...effects.before.canvas), after: pixels(...effects.after.canvas) }) }}</h3>
    <p v-if="!effects.designs.length" class="hint">{{ t('surface.no-effects') }}</p>
    <div v-for="design in effects.designs" :key="design.id" class="effect">
      <h4>{{ design.name }}</h4>
      <PlanStill v-if="design.plan" :plan="design.plan" :width="300" :height="220" />
      <ul class="lines sizes">
        <li v-for="zone in design.zones" :key="zone.letter" class="line">
          <b class="letter">{{ zone.letter }}</b>
          <span class="measure">
            {{ zone.before ? `${zone.before[2]} × ${zone.before[3]} → ` : '' }}{{ pixels(zone.after[2], zone.after[3]) }}
          </span>
        </li>
      </ul>
      <FindingLines :findings="design.findings" />
    </div>
  </section>
</template>
