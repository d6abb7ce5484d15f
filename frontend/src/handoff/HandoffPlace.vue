<script setup lang="ts">
import { onMounted, onUnmounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { handedAt, type SurfaceLine, type Waits } from '../api/handoff'
import { useSession } from '../session/session'
import { seconds } from '../ui/format'
import RefusalNote from '../ui/RefusalNote.vue'
import SurfaceCard from './SurfaceCard.vue'

const { t } = useI18n()
const session = useSession()
const surfaces = ref<SurfaceLine[]>([])
const zone = ref('UTC')
const waits = ref<Waits | null>(null)
const error = ref<unknown>(null)
const LOOK_MS = 2000
let timer: ReturnType<typeof setTimeout> | undefined

async function load(): Promise<void> {
  clearTimeout(timer)
  try {
    const answer = await handedAt(session.slug)
    surfaces.value = answer.surfaces
    zone.value = answer.zone
    waits.value = answer.waits
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
    <p v-if="waits" class="place-note hint" data-waits>
      <template v-for="(lane, name) in waits" :key="name">
        {{ lane.oldest_ms === null ? t(`waits.${name}`) : t(`waits.${name}-for`, { count: lane.count, length: seconds(lane.oldest_ms) }) }}
      </template>
    </p>
    <RefusalNote :error="error" />
    <div class="player-grid">
      <SurfaceCard v-for="line in surfaces" :key="line.surface.code" :line="line" :zone="zone" @changed="load" />
    </div>
  </section>
</template>
