<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { call } from '../api/client'
import { goOn, goOnAt } from '../ui/focus'
import { newToken } from '../plan/token'
import RefusalNote from '../ui/RefusalNote.vue'

const props = defineProps<{ player: string; paired: boolean }>()
const emit = defineEmits<{ changed: [] }>()
const { t } = useI18n()
const typed = ref('')
const asked = ref(!props.paired)
const error = ref<unknown>(null)
const token = newToken()

const own = (css: string) => (): HTMLElement | null => document.querySelector<HTMLElement>(`[data-player="${props.player}"] ${css}`)
async function pair(how: { pairing_code: string } | { token: string }): Promise<boolean> {
  error.value = null
  try {
    await call('POST', `/api/players/${props.player}/pairing`, how)
    typed.value = ''
    asked.value = false
    emit('changed')
    return true
  } catch (refused) {
    error.value = refused
    return false
  }
}
const pairScreen = (): Promise<boolean> => goOn(() => pair({ pairing_code: typed.value }), own('footer a'))
function ask(): void {
  asked.value = true
  goOnAt(own('.pairing-code'))
}
</script>

<template>
  <form v-if="asked || !paired" class="hand-row" @submit.prevent="pairScreen">
    <label :for="`code-${player}`">{{ t('handoff.code') }}</label>
    <BFormInput
      :id="`code-${player}`"
      v-model="typed"
      size="sm"
      class="measure pairing-code"
      maxlength="12"
      autocomplete="off"
      spellcheck="false" />
    <button type="submit" class="btn btn-sm btn-outline-dark" :disabled="typed.trim() === ''">{{ t('handoff.pair') }}</button>
  </form>
  <RefusalNote :error="error" />
  <footer>
    <button v-if="paired && !asked" type="button" class="btn btn-sm btn-outline-dark" @click="ask">
      {{ t('handoff.pair-another') }}
    </button>
    <a v-if="paired" :href="`/play/${player}`" target="_blank" rel="noopener">{{ t('handoff.open-player') }}</a>
    <a v-else :href="`/play/${player}#${token}`" target="_blank" rel="noopener" @click="pair({ token })">
      {{ t('handoff.stand-in') }}
    </a>
  </footer>
</template>
