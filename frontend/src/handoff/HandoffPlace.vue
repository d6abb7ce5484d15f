<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { handedAt, type SurfaceLine, type Waits } from '../api/handoff'
import { useSession } from '../session/session'
import { seconds } from '../ui/format'
import RefusalNote from '../ui/RefusalNote.vue'
import { useLooking } from '../ui/useLooking'
import SurfaceCard from './SurfaceCard.vue'

const { t } = useI18n()
const session = useSession()
const surfaces = ref<SurfaceLine[]>([])
const zone = ref('UTC')
const waits = ref<Waits | null>(null)
const LOOK_MS = 2000

const { error, load } = useLooking(async () => {
  const answer = await handedAt(session.slug)
  surfaces.value = answer.surfaces
  zone.value = answer.zone
  waits.value = answer.waits
}, LOOK_MS)
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
