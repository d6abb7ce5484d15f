<script setup lang="ts">
import { BTableSimple, BTbody, BTd, BTh, BThead, BTr } from 'bootstrap-vue-next'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { AirLine } from '../api/handoff'
import { timeOfDay } from '../ui/format'

/** What was on air on a player in the last 24 hours, the latest first, as far as it told. */
const MOST = 40
const props = defineProps<{ lines: AirLine[]; zone: string }>()
const { t } = useI18n()
const latest = computed(() => [...props.lines].reverse().slice(0, MOST))
const what = ({ heard, name, number }: AirLine): string => {
  if (heard !== 'confirmed' || name === null) return t(`air.${heard}`)
  return number ? t('handoff.release', { name, number: String(number) }) : t('air.standby')
}
</script>

<template>
  <section class="on-air">
    <h3>{{ t('air.title') }}</h3>
    <p v-if="!lines.length" class="hint">{{ t('air.none') }}</p>
    <BTableSimple v-else small>
      <BThead>
        <BTr>
          <BTh>{{ t('air.from') }}</BTh>
          <BTh>{{ t('air.what') }}</BTh>
        </BTr>
      </BThead>
      <BTbody>
        <BTr v-for="line in latest" :key="line.from_ms">
          <BTd class="measure">{{ timeOfDay(line.from_ms, zone) }}</BTd>
          <BTd :class="{ refusal: line.heard === 'denied', hint: line.heard === 'silent' }">{{ what(line) }}</BTd>
        </BTr>
      </BTbody>
    </BTableSimple>
  </section>
</template>

<style scoped>
.on-air {
  margin-top: 1rem;
}
.on-air h3 {
  font-size: 1rem;
  font-weight: 600;
}
</style>
