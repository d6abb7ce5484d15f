<script setup lang="ts">
import { onMounted, onUnmounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { call } from '../api/client'
import type { PlayerLine } from '../api/handoff'
import { useSession } from '../session/session'
import RefusalNote from '../ui/RefusalNote.vue'
import PlayerCard from './PlayerCard.vue'

const { t } = useI18n()
const session = useSession()
const players = ref<PlayerLine[]>([])
const zone = ref('UTC')
const error = ref<unknown>(null)
const LOOK_MS = 2000
let timer: ReturnType<typeof setTimeout> | undefined

async function load(): Promise<void> {
  clearTimeout(timer)
  try {
    const answer = await call<{ zone: string; players: PlayerLine[] }>('GET', `/api/sites/${session.slug}/hand-off`)
    players.value = answer.players
    zone.value = answer.zone
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
    <div class="place-head">
      <h1>{{ t('handoff.title') }}</h1>
      <p class="hint">{{ t('handoff.hint') }}</p>
    </div>
    <RefusalNote :error="error" />
    <div class="player-grid"><PlayerCard v-for="player in players" :key="player.code" :player="player" :zone="zone" @changed="load" /></div>
  </section>
</template>
