<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { PlayerLine, SurfaceLine } from '../api/handoff'
import { useSession } from '../session/session'
import PairingForm from './PairingForm.vue'
import { listed, timeOfDay } from '../ui/format'
import { useReleaseWords } from './words'

/** One player of a surface: whether it is paired, and what it says it shows. */
const props = defineProps<{
  player: PlayerLine
  line: Pick<SurfaceLine, 'surface' | 'ordered' | 'players'> & { releases?: SurfaceLine['releases'] }
  zone: string
}>()
const emit = defineEmits<{ changed: [] }>()
const { t } = useI18n()
const session = useSession()
const words = useReleaseWords()
const mayPair = computed(() => session.may('pair', undefined, props.line.surface.things))
const shown = computed(() => {
  const { shows } = props.player
  if (shows?.release === null) return t(shows.act ? 'air.standby' : 'handoff.idle')
  const known = props.line.releases ?? (props.line.ordered ? [props.line.ordered] : [])
  const release = known.find((one) => one.release === shows?.release)
  return release ? words(release) : t('handoff.nothing')
})
const proofAt = (ms: number): string => t('handoff.proof-at', { time: timeOfDay(ms, props.zone) })
</script>

<template>
  <section class="player-part" :data-player="player.code" :aria-label="player.code">
    <p class="player-head">
      <RouterLink class="measure" :to="{ name: 'player', params: { player: player.code } }">{{ player.code }}</RouterLink>
      <span class="hint">· {{ t(player.paired ? 'handoff.paired' : 'handoff.unpaired') }}</span>
      <span v-if="line.players.length > 1" class="state" :class="player.state" role="status">{{ t(`state.${player.state}`) }}</span>
    </p>
    <p v-if="player.waits" class="refusal" role="status">
      <strong>{{ player.waits.message }}</strong>
      {{ player.waits.mend }}
    </p>
    <p v-if="player.apart" class="hint">{{ t('handoff.apart', { release: words(player.apart) }) }}</p>
    <dl class="particulars">
      <dt>{{ t('handoff.shows') }}</dt>
      <dd v-if="player.shows">
        {{ shown }}
        <br />
        <span class="hint">
          {{ listed(proofAt(player.shows.received_ms), player.shows.stepped && t('handoff.stepped')) }}
        </span>
        <span v-if="player.shows.unconfirmed" class="refusal">{{ t('handoff.unconfirmed') }}</span>
        <span v-if="player.shows.almanac_over" class="refusal">{{ t('handoff.almanac-over') }}</span>
        <span v-if="player.shows.outputs" :class="player.shows.outputs.agree ? 'hint' : 'refusal'">
          {{ t(player.shows.outputs.agree ? 'handoff.agree' : 'handoff.disagree', { outputs: player.shows.outputs.numbers.join(', ') }) }}
        </span>
        <span v-if="player.shows.differences.length" class="refusal">
          {{ t('handoff.differs', { letters: player.shows.differences.join(', ') }) }}
        </span>
      </dd>
      <dd v-else>{{ t('handoff.nothing') }}</dd>
    </dl>
    <PairingForm v-if="mayPair" :player="player.code" :paired="player.paired" @changed="emit('changed')" />
    <footer v-else>
      <a :href="`/play/${player.code}`" target="_blank" rel="noopener">{{ t('handoff.open-player') }}</a>
    </footer>
  </section>
</template>
