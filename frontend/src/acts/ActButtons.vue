<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Act } from '../api/acts'
import { useSession } from '../session/session'
import { goOn } from '../ui/focus'
import { listed, timeOfDay } from '../ui/format'
import RefusalNote from '../ui/RefusalNote.vue'
import { useActs } from './acts'

/** What a surface or a player is made to show at once, and what it was made to show till it is cleared. */
const props = defineProps<{ target: string; acts: Act[]; things: string[]; zone: string }>()
const emit = defineEmits<{ changed: [] }>()
const { t } = useI18n()
const session = useSession()
const store = useActs()
const error = ref<unknown>(null)
const row = useTemplateRef('row')
const mayStand = computed(() => session.may('hand_off', undefined, props.things))
const mayAsk = computed(() => mayStand.value || session.may('pair', undefined, props.things))
const standing = computed(() => props.acts.filter((act) => act.kind === 'standby'))
const asked = computed(() => props.acts.some((act) => act.kind === 'identify'))
const says = (act: Act): string => listed(t('acts.standby-since', { time: timeOfDay(act.from_ms, props.zone) }), act.by)

async function after(work: () => Promise<void>): Promise<void> {
  error.value = null
  await goOn(
    async () => {
      try {
        await work()
        emit('changed')
      } catch (refused) {
        error.value = refused
      }
    },
    () => row.value?.querySelector('button') ?? null,
  )
}
</script>

<template>
  <div v-if="mayAsk" class="act-part">
    <p v-for="act in standing" :key="act.id" class="act-line" role="status">
      {{ says(act) }}
      <button v-if="mayStand" type="button" class="btn btn-sm btn-outline-dark" @click="after(() => store.clear(act.id))">
        {{ t('acts.clear') }}
      </button>
    </p>
    <RefusalNote :error="error" />
    <div ref="row" class="button-row">
      <button type="button" class="btn btn-sm btn-outline-dark" @click="after(() => store.take('identify', target))">
        {{ t('acts.identify') }}
      </button>
      <button
        v-if="mayStand && !standing.length"
        type="button"
        class="btn btn-sm btn-outline-dark"
        @click="after(() => store.take('standby', target))">
        {{ t('acts.standby') }}
      </button>
      <span v-if="asked" class="hint" role="status">{{ t('acts.identifies') }}</span>
    </div>
  </div>
</template>
