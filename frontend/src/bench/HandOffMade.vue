<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { call } from '../api/client'
import type { PlayerLine, ReleaseLine } from '../api/handoff'
import { useOnce } from '../api/once'
import { useSession } from '../session/session'
import RefusalNote from '../ui/RefusalNote.vue'

/** What was just released, handed off at once to every player of the surfaces that it is for. */
const props = defineProps<{ made: ReleaseLine; site: string }>()
const { t } = useI18n()
const router = useRouter()
const session = useSession()
const once = useOnce()
const error = ref<unknown>(null)
const busy = ref(false)

async function hand(): Promise<void> {
  error.value = null
  busy.value = true
  try {
    const { players } = await call<{ players: PlayerLine[] }>('GET', `/api/sites/${props.site}/hand-off`)
    const wanted = players.filter((player) => props.made.surfaces?.some((one) => one.code === player.surface.code))
    for (const player of wanted) {
      const order = { release: props.made.release, after: player.after }
      await once(JSON.stringify([player.code, order]), (made_as) =>
        call('POST', `/api/players/${player.code}/hand-off`, { ...order, made_as }),
      )
    }
    await router.push({ name: 'hand-off' })
  } catch (refused) {
    error.value = refused
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <template v-if="session.may('hand_off')">
    <p class="hint">{{ t('release.hand-hint') }}</p>
    <RefusalNote :error="error" />
    <button type="button" class="btn btn-primary" :aria-disabled="busy" @click="busy || hand()">
      {{ t('release.hand', { names: (made.surfaces ?? []).map((one) => one.name).join(', ') }) }}
    </button>
  </template>
</template>
