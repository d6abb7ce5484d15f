<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { SurfaceWhole } from '../api/types'
import { timeOfDay } from '../ui/format'

/** Who changed what, the latest first. */
defineProps<{ surface: SurfaceWhole; zone: string }>()
const { t } = useI18n()
</script>

<template>
  <p v-if="!surface.changes.length" class="hint">{{ t('surface.no-changes') }}</p>
  <ul class="lines history"><li v-for="change in surface.changes" :key="change.number" class="line" :class="{ undone: change.undone }"><span>{{ change.fields.map((field) => t(`field.${field}`)).join(', ') }} <span v-if="change.kind !== 'edit'" class="hint">({{ t(`bench.${change.kind}`) }})</span></span><span class="hint">{{ change.author }} · {{ timeOfDay(change.at, zone) }}</span></li></ul>
  <template v-if="surface.uses.length"><h3>{{ t('surface.uses') }}</h3><ul class="lines"><li v-for="use in surface.uses" :key="use" class="line">{{ use }}</li></ul></template>
</template>
