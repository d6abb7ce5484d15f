<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Moment } from '../../api/designs'
import { clock, seconds } from '../../ui/format'
import { civilWords } from '../../ui/pinned'
import RefusalNote from '../../ui/RefusalNote.vue'
import { typedSeconds } from '../../ui/typedTime'
import { useDesign } from '../store/design'
import { useEntryWords } from './useEntryWords'
import type { MomentView } from './useMoment'

/** What every zone shows at an instant, how long it has and will, and why. */
const props = defineProps<{ moment: MomentView }>()
const { t } = useI18n()
const design = useDesign()
const words = useEntryWords()
const shown = computed(() => props.moment.shown.value)
const day = ref('')
const time = ref('')
const after = ref('')
watch(
  shown,
  (now) => {
    if (!now) return
    ;[day.value, time.value] = now.at.split('T') as [string, string]
    after.value = clock(now.t_ms)
  },
  { immediate: true },
)
function at(): void {
  if (day.value && time.value) void props.moment.ask({ at: `${day.value}T${time.value}` })
}
/** What is no time goes to the core, which says so. */
function afterStart(): void {
  const typed = typedSeconds(after.value)
  void props.moment.ask({ t_ms: typed === null ? after.value : Math.round(typed * 1000) })
}
function says({ zone, place }: Moment['zones'][number]): string {
  const plan = design.zones[zone]
  if (place !== null && plan) return words(plan, place)
  return t(plan?.items[0]?.kind === 'standby' ? 'rail.nothing' : 'moment.one')
}
const why = ({ why: code, leader }: Moment['zones'][number]): string =>
  t(`moment.${code}`, { leader: (leader && design.documents[leader]?.letter) ?? '' })
</script>

<template>
  <section class="moment" :aria-label="t('bench.moment')">
    <div class="field-row">
      <label>
        {{ t('moment.day') }}
        <BFormInput v-model="day" size="sm" type="date" @change="at" />
      </label>
      <label>
        {{ t('moment.time') }}
        <BFormInput v-model="time" size="sm" type="time" step="1" @change="at" />
      </label>
    </div>
    <label>
      {{ t('moment.after') }}
      <BFormInput v-model="after" size="sm" class="measure" @change="afterStart" />
    </label>
    <div class="button-row">
      <button type="button" class="btn btn-sm btn-outline-dark" @click="moment.change(-1)">{{ t('moment.previous') }}</button>
      <button type="button" class="btn btn-sm btn-outline-dark" @click="moment.change(1)">{{ t('moment.next') }}</button>
      <button type="button" class="btn btn-sm btn-outline-dark" @click="moment.ask({})">{{ t('moment.now') }}</button>
    </div>
    <RefusalNote :error="moment.error.value" />
    <template v-if="shown">
      <p class="moment-at" role="status">{{ civilWords(shown.at) }}</p>
      <p class="moment-scene">
        <b>{{ shown.scene_name }}</b>
        <span class="hint measure">
          {{ t('moment.since', { time: seconds(shown.since_ms) }) }}
          <template v-if="shown.left_ms !== null">{{ t('moment.left', { time: seconds(shown.left_ms) }) }}</template>
        </span>
      </p>
      <ul class="moment-zones">
        <li v-for="zone in shown.zones" :key="zone.zone">
          <b class="letter">{{ zone.letter }}</b>
          <span>
            {{ says(zone) }}
            <span v-if="zone.left_ms !== null" class="hint measure">
              {{ t('moment.since', { time: seconds(zone.since_ms) }) }} {{ t('moment.left', { time: seconds(zone.left_ms) }) }}
            </span>
            <span class="hint">{{ why(zone) }}</span>
          </span>
        </li>
      </ul>
      <p class="hint">{{ t('moment.start') }}</p>
    </template>
  </section>
</template>

<style scoped>
.moment-at {
  margin: 0.8rem 0 0.4rem;
  padding: 0.3rem 0.5rem;
  background: var(--live-tint);
  font-weight: 600;
}
.moment-scene {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
}
.moment-zones {
  margin: 0.4rem 0;
  padding: 0;
  list-style: none;
}
.moment-zones li {
  display: grid;
  grid-template-columns: 1.8rem 1fr;
  align-items: start;
  gap: 0.6rem;
  padding: 0.4rem 0;
  border-top: 1px solid var(--hairline);
}
.moment-zones .hint {
  display: block;
}
</style>
