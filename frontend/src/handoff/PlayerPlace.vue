<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import { playerCard, type PlayerCard } from '../api/handoff'
import { pixels, timeOfDay } from '../ui/format'
import RefusalNote from '../ui/RefusalNote.vue'
import { useLooking } from '../ui/useLooking'
import ActButtons from '../acts/ActButtons.vue'
import OnAir from './OnAir.vue'
import PlayerPart from './PlayerPart.vue'
import { useReleaseWords } from './words'

/** The card of one player, for who stands before its screen with a phone. */
const LOOK_MS = 2000
const { t } = useI18n()
const route = useRoute()
const words = useReleaseWords()
const card = ref<PlayerCard | null>(null)
const standing = computed(() => card.value?.acts.find((act) => act.kind === 'standby'))
const code = (): string => String(route.params['player'])

const { error, load } = useLooking(async () => {
  card.value = await playerCard(code())
}, LOOK_MS)
</script>

<template>
  <section class="player-place">
    <div class="place-head">
      <h1>{{ card?.surface.name ?? code() }}</h1>
      <RouterLink class="plain" :to="{ name: 'hand-off' }">{{ t('handoff.title') }}</RouterLink>
    </div>
    <RefusalNote :error="error" />
    <article v-if="card" class="player-card sheet">
      <header>
        <h2 class="measure">{{ code() }}</h2>
        <span class="state" :class="card.players[0]?.state" role="status">{{ t(`state.${card.players[0]?.state ?? 'empty'}`) }}</span>
      </header>
      <dl class="particulars">
        <dt>{{ t('handoff.should') }}</dt>
        <dd v-if="standing">
          {{ t('acts.should') }}
          <br />
          <span class="hint">{{ t('handoff.by', { author: standing.by, time: timeOfDay(standing.from_ms, card.zone) }) }}</span>
        </dd>
        <dd v-else-if="card.ordered">
          {{ words(card.ordered) }}
          <br />
          <span class="hint">{{ t('handoff.by', { author: card.ordered.by, time: timeOfDay(card.ordered.start_ms, card.zone) }) }}</span>
        </dd>
        <dd v-else>{{ t('handoff.nothing') }}</dd>
        <template v-if="card.outputs.length">
          <dt>{{ t('handoff.outputs') }}</dt>
          <dd>
            <a
              v-for="output in card.outputs"
              :key="output.number"
              :href="`/play/${code()}?output=${output.number}`"
              target="_blank"
              rel="noopener">
              {{ t('handoff.output', { number: String(output.number), px: pixels(...output.px) }) }}
            </a>
          </dd>
        </template>
      </dl>
      <ActButtons :target="`player:${code()}`" :acts="card.acts" :things="card.surface.things" :zone="card.zone" @changed="load" />
      <PlayerPart v-for="player in card.players" :key="player.code" :player="player" :line="card" :zone="card.zone" @changed="load" />
      <OnAir :lines="card.on_air" :zone="card.zone" />
    </article>
  </section>
</template>

<style scoped>
.player-place {
  max-width: 40rem;
  margin: 0 auto;
}
.player-card {
  margin: 0.5rem 1rem 2rem;
}
</style>
