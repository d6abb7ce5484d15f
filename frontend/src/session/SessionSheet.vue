<script setup lang="ts">
import { BModal } from 'bootstrap-vue-next'
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { call } from '../api/client'
import { timeOfDay } from '../ui/format'
import RefusalNote from '../ui/RefusalNote.vue'

interface SessionLine {
  name: string
  address: string
  agent: string
  seen: string
  here: boolean
}

/** Where this person is signed in; what they do not know, they end. */
const open = defineModel<boolean>({ required: true })
defineProps<{ zone: string }>()
const { t } = useI18n()
/** By the name and the system that it gives itself: the others in its string are there for old servers. */
function browserWords(agent: string): string {
  const [, name] = /(Firefox|Edg|OPR|Chrome|Safari)\//.exec(agent.replace(/Chrome(?=.*(?:Edg|OPR)\/)/, '')) ?? []
  const [, system] = /(Android|iPhone|iPad|Windows|Mac OS X|CrOS|Linux)/.exec(agent) ?? []
  if (!name) return t('session.unknown')
  const browser = { Edg: 'Edge', OPR: 'Opera' }[name] ?? name
  return system ? t('session.on', { browser, system: { 'Mac OS X': 'macOS', CrOS: 'ChromeOS' }[system] ?? system }) : browser
}
const sessions = ref<SessionLine[]>([])
const error = ref<unknown>(null)

async function ask(work: () => Promise<unknown>): Promise<void> {
  error.value = null
  try {
    await work()
    sessions.value = (await call<{ sessions: SessionLine[] }>('GET', '/api/me/sessions')).sessions
  } catch (refused) {
    error.value = refused
  }
}
const end = (name: string): Promise<void> => ask(() => call('DELETE', `/api/me/sessions/${name}`))
watch(open, (now) => void (now && ask(() => Promise.resolve())))
</script>

<template>
  <BModal v-model="open" :title="t('session.where')" :header-close-label="t('close')" ok-only :ok-title="t('close')">
    <RefusalNote :error="error" />
    <ul class="lines sessions">
      <li v-for="one in sessions" :key="one.name" class="line">
        <span>
          <span :title="one.agent">{{ browserWords(one.agent) }}</span>
          <span class="hint">{{ t('session.seen', { address: one.address, at: timeOfDay(one.seen, zone) }) }}</span>
        </span>
        <strong v-if="one.here">{{ t('session.here') }}</strong>
        <button v-else type="button" class="btn btn-sm btn-outline-dark" @click="end(one.name)">{{ t('session.end') }}</button>
      </li>
    </ul>
    <p class="hint">
      <a href="/build/notices.txt" target="_blank" rel="noopener">{{ t('session.notices') }}</a>
    </p>
  </BModal>
</template>
