<script setup lang="ts">
import { BDropdown, BDropdownItemButton, BDropdownText, vBTooltip } from 'bootstrap-vue-next'
import { onMounted, onUnmounted, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useActs } from './acts'
import { useSession } from '../session/session'
import { listed, timeOfDay } from '../ui/format'

/** What lies over the plan now, on every place: how much, what, and its end. */
const LOOK_MS = 10_000
const { t } = useI18n()
const session = useSession()
const acts = useActs()
let timer: ReturnType<typeof setInterval> | undefined
watch(() => session.slug, acts.load)
onMounted(() => {
  void acts.load()
  timer = setInterval(() => void acts.load(), LOOK_MS)
})
onUnmounted(() => clearInterval(timer))
const where = (surfaces: string[]): string => (surfaces.length > 3 ? t('acts.surfaces', { count: surfaces.length }) : surfaces.join(', '))
</script>

<template>
  <BDropdown
    v-if="acts.list.length"
    v-b-tooltip="t('acts.now-hint')"
    variant="link"
    class="acts-now"
    toggle-class="person"
    no-caret
    :text="t('acts.now', { count: acts.list.length })">
    <template v-for="act in acts.list" :key="act.id">
      <BDropdownText>
        <strong>{{ t(`acts.${act.kind}`) }}</strong>
        {{ where(act.surfaces) }}
        <span class="hint">{{ listed(timeOfDay(act.from_ms, session.site?.zone ?? 'UTC'), act.by) }}</span>
      </BDropdownText>
      <BDropdownItemButton v-if="session.may('hand_off')" @click="acts.clear(act.id)">{{ t('acts.clear') }}</BDropdownItemButton>
    </template>
  </BDropdown>
</template>
