<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { call } from '../api/client'
import { useOnce } from '../api/once'
import type { PlayerLine, ReleaseLine } from '../api/handoff'
import { useSession } from '../session/session'
import PairingForm from './PairingForm.vue'
import RefusalNote from '../ui/RefusalNote.vue'
import { goOn } from '../ui/focus'
import { listed, timeOfDay } from '../ui/format'

const props = defineProps<{ player: PlayerLine; zone: string }>()
const emit = defineEmits<{ changed: [] }>()
const DRAFTS = 3
const { t } = useI18n()
const session = useSession()
const chosen = ref<number | ''>('')
const error = ref<unknown>(null)
const once = useOnce()
const mayHand = computed(() => session.may('hand_off'))
const mayPair = computed(() => session.may('pair'))
const words = (release: ReleaseLine): string => t('handoff.release', { name: release.name, number: String(release.number) })
/** Only what was released before: pressed a second time it never puts the mistake back. */
const back = computed(() => {
  const { before, ordered } = props.player
  return before && ordered && before.release < ordered.release ? before : null
})
/** A few of what is not released, the last edited first; the rest when asked for. */
const whole = ref(false)
const drafts = computed(() => (whole.value ? props.player.unreleased : props.player.unreleased.slice(0, DRAFTS)))
const more = computed(() => props.player.unreleased.length - drafts.value.length)
const shownRelease = computed(() => props.player.releases.find((one) => one.release === props.player.shows?.release))

async function hand(release: number): Promise<void> {
  const order = { release, after: props.player.after }
  await goOn(
    async () => {
      await act(() =>
        once(JSON.stringify(order), (made_as) => call('POST', `/api/players/${props.player.code}/hand-off`, { ...order, made_as })),
      )
      chosen.value = ''
    },
    () => document.getElementById(`release-${props.player.code}`),
  )
}
async function act(work: () => Promise<unknown>): Promise<void> {
  error.value = null
  try {
    await work()
    emit('changed')
  } catch (refused) {
    error.value = refused
  }
}
const proofAt = (ms: number): string => t('handoff.proof-at', { time: timeOfDay(ms, props.zone) })
</script>

<template>
  <article class="player-card sheet" :data-player="player.code">
    <header>
      <h2>{{ player.surface.name }}</h2>
      <span class="state" :class="player.state" role="status">{{ t(`state.${player.state}`) }}</span>
    </header>
    <p class="hint">
      <span class="measure">{{ player.code }}</span>
      · {{ t(player.paired ? 'handoff.paired' : 'handoff.unpaired') }}
    </p>
    <p v-if="player.waits" class="refusal" role="status">
      <strong>{{ player.waits.message }}</strong>
      {{ player.waits.mend }}
    </p>
    <dl class="particulars">
      <dt>{{ t('handoff.should') }}</dt>
      <dd v-if="player.ordered">
        {{ words(player.ordered) }}
        <br />
        <span class="hint">
          {{ player.ordered.note }} · {{ t('handoff.by', { author: player.ordered.by, time: timeOfDay(player.ordered.start_ms, zone) }) }}
        </span>
      </dd>
      <dd v-else>{{ t('handoff.nothing') }}</dd>
      <dt>{{ t('handoff.shows') }}</dt>
      <dd v-if="player.shows">
        {{ shownRelease ? words(shownRelease) : t('handoff.nothing') }}
        <br />
        <span class="hint">
          {{ listed(proofAt(player.shows.received_ms), player.shows.stepped && t('handoff.stepped')) }}
        </span>
        <span v-if="player.shows.differences.length" class="refusal">
          {{ t('handoff.differs', { letters: player.shows.differences.join(', ') }) }}
        </span>
      </dd>
      <dd v-else>{{ t('handoff.nothing') }}</dd>
      <dt>{{ t('handoff.unreleased') }}</dt>
      <dd v-if="player.unreleased.length">
        <RouterLink v-for="design in drafts" :key="design.id" :to="{ name: 'bench', params: { design: design.id } }">
          {{ design.name }}, {{ t('handoff.revision', { revision: String(design.revision) }) }}
        </RouterLink>
        <button v-if="more > 0" type="button" class="plain" @click="whole = true">
          {{ t('handoff.more', { count: String(more) }) }}
        </button>
      </dd>
      <dd v-else>{{ t('handoff.all-released') }}</dd>
    </dl>
    <RefusalNote :error="error" />
    <form v-if="mayHand && player.releases.length" class="hand-row" @submit.prevent="chosen !== '' && hand(chosen)">
      <label class="visually-hidden" :for="`release-${player.code}`">{{ t('handoff.choose') }}</label>
      <BFormSelect size="sm" :id="`release-${player.code}`" v-model="chosen">
        <option value="" disabled>{{ t('handoff.choose') }}</option>
        <option v-for="release in player.releases" :key="release.release" :value="release.release">
          {{ words(release) }}{{ release.note ? `: ${release.note}` : '' }}
        </option>
      </BFormSelect>
      <button type="submit" class="btn btn-sm btn-primary" :disabled="chosen === ''">{{ t('handoff.hand') }}</button>
    </form>
    <p v-else-if="!player.releases.length" class="hint">{{ t('handoff.no-releases') }}</p>
    <component
      :is="mayPair ? PairingForm : 'footer'"
      v-bind="mayPair ? { player: player.code, paired: player.paired } : {}"
      @changed="emit('changed')">
      <button v-if="mayHand && back" type="button" class="btn btn-sm btn-outline-dark" @click="hand(back.release)">
        {{ t('handoff.back', { number: String(back.number) }) }}
      </button>
      <a v-if="!mayPair" :href="`/play/${player.code}`" target="_blank" rel="noopener">{{ t('handoff.open-player') }}</a>
    </component>
  </article>
</template>
