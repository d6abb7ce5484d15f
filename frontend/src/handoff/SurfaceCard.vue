<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { handOff, type Newer, type SurfaceLine } from '../api/handoff'
import { useOnce } from '../api/once'
import { useSession } from '../session/session'
import ActButtons from '../acts/ActButtons.vue'
import PlayerPart from './PlayerPart.vue'
import RefusalNote from '../ui/RefusalNote.vue'
import { goOn } from '../ui/focus'
import { listed, timeOfDay } from '../ui/format'
import { useReleaseWords } from './words'

/** A surface: what it should show, what it could be given, and each of its players. */
const props = defineProps<{ line: SurfaceLine; zone: string }>()
const emit = defineEmits<{ changed: [] }>()
const DRAFTS = 3
const { t } = useI18n()
const session = useSession()
const words = useReleaseWords()
const chosen = ref<number | ''>('')
const error = ref<unknown>(null)
const once = useOnce()
const mayHand = computed(() => session.may('hand_off', undefined, props.line.surface.things))
const field = computed(() => `release-${props.line.surface.code}`)
/** Only what was released before: pressed a second time it never puts the mistake back. */
const back = computed(() => {
  const { before, ordered } = props.line
  return before && ordered && before.release < ordered.release ? before : null
})
/** A few of what is not released, the last edited first; the rest when asked for. */
const whole = ref(false)
const drafts = computed(() => (whole.value ? props.line.newer : props.line.newer.slice(0, DRAFTS)))
const more = computed(() => props.line.newer.length - drafts.value.length)

const handed = ({ note, by, start_ms }: NonNullable<SurfaceLine['ordered']>): string =>
  listed(note, t('handoff.by', { author: by, time: timeOfDay(start_ms, props.zone) }))
const why = (design: Newer): string =>
  design.why.map(({ what, name }) => t(`handoff.newer-${what}`, { name, revision: String(design.revision) })).join(', ')

async function hand(release: number): Promise<void> {
  await goOn(
    async () => {
      error.value = null
      try {
        await handOff(props.line, release, once)
        emit('changed')
      } catch (refused) {
        error.value = refused
      }
      chosen.value = ''
    },
    () => document.getElementById(field.value),
  )
}
</script>

<template>
  <article class="player-card sheet" :data-handed="line.surface.code">
    <header>
      <h2>{{ line.surface.name }}</h2>
      <span class="state" :class="line.state" role="status">{{ t(`state.${line.state}`) }}</span>
    </header>
    <dl class="particulars">
      <dt>{{ t('handoff.should') }}</dt>
      <dd v-if="line.ordered">
        {{ words(line.ordered) }}
        <br />
        <span class="hint">
          {{ handed(line.ordered) }}
        </span>
      </dd>
      <dd v-else>{{ t('handoff.nothing') }}</dd>
      <dt>{{ t('handoff.newer') }}</dt>
      <dd v-if="line.newer.length">
        <RouterLink v-for="design in drafts" :key="design.id" :to="{ name: 'bench', params: { design: design.id } }">
          {{ design.name }}: {{ why(design) }}
        </RouterLink>
        <button v-if="more > 0" type="button" class="plain" @click="whole = true">
          {{ t('handoff.more', { count: String(more) }) }}
        </button>
      </dd>
      <dd v-else>{{ t('handoff.none-newer') }}</dd>
    </dl>
    <RefusalNote :error="error" />
    <form v-if="mayHand && line.releases.length" class="hand-row" @submit.prevent="chosen !== '' && hand(chosen)">
      <label class="visually-hidden" :for="field">{{ t('handoff.choose-for', { surface: line.surface.name }) }}</label>
      <BFormSelect :id="field" v-model="chosen" size="sm">
        <option value="" disabled>{{ t('handoff.choose') }}</option>
        <option v-for="release in line.releases" :key="release.release" :value="release.release">
          {{ words(release) }}{{ release.note ? `: ${release.note}` : '' }}
        </option>
      </BFormSelect>
      <button type="submit" class="btn btn-sm btn-primary" :disabled="chosen === ''">{{ t('handoff.hand') }}</button>
    </form>
    <p v-else-if="!line.releases.length" class="hint">{{ t('handoff.no-releases') }}</p>
    <button v-if="mayHand && back" type="button" class="btn btn-sm btn-outline-dark roll-back" @click="hand(back.release)">
      {{ t('handoff.back', { number: String(back.number) }) }}
    </button>
    <ActButtons
      v-if="line.players.some((player) => player.paired)"
      :target="`surface:${line.surface.code}`"
      :acts="line.acts"
      :things="line.surface.things"
      :zone="zone"
      @changed="emit('changed')" />
    <PlayerPart v-for="player in line.players" :key="player.code" :player="player" :line="line" :zone="zone" @changed="emit('changed')" />
  </article>
</template>
