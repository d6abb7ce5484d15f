<script setup lang="ts">
import { onMounted, onUnmounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { call } from '../api/client'
import type { PlayerLine } from '../api/types'
import RefusalNote from '../ui/RefusalNote.vue'
import PlayerCard from './PlayerCard.vue'

const { t } = useI18n()
const players = ref<PlayerLine[]>([])
const error = ref<unknown>(null)
const LOOK_MS = 2000
let timer: ReturnType<typeof setTimeout> | undefined

async function load(): Promise<void> {
  clearTimeout(timer)
  try {
    players.value = (await call<{ players: PlayerLine[] }>('GET', '/api/hand-off')).players
    error.value = null
  } catch (refused) {
    error.value = refused
  }
  timer = setTimeout(() => void load(), LOOK_MS)
}
onMounted(load)
onUnmounted(() => clearTimeout(timer))
</script>

<template>
  <section class="handoff">
    <div class="place-head"><h1>{{ t('handoff.title') }}</h1><p class="hint">{{ t('handoff.hint') }}</p></div>
    <RefusalNote :error="error" />
    <div class="player-grid"><PlayerCard v-for="player in players" :key="player.code" :player="player" @changed="load" /></div>
  </section>
</template>
