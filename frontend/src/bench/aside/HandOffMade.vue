<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { handedAt, handOff, type ReleaseLine } from '../../api/handoff'
import { useOnce } from '../../api/once'
import { useSession } from '../../session/session'
import RefusalNote from '../../ui/RefusalNote.vue'

/** What was just released, handed off at once to every surface that it is for. */
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
    const { surfaces } = await handedAt(props.site)
    const wanted = surfaces.filter((line) => props.made.surfaces?.some((one) => one.code === line.surface.code))
    for (const line of wanted) await handOff(line, props.made.release, once)
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
