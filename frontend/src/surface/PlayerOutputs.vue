<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { call } from '../api/client'
import type { SurfaceWhole } from '../api/types'
import RefusalNote from '../ui/RefusalNote.vue'
import NumberField from './NumberField.vue'
import { provideRefusal } from './refusal'

/** The surface's players and how many outputs each has. */
const props = defineProps<{ surface: SurfaceWhole }>()
const emit = defineEmits<{ changed: [] }>()
const { t } = useI18n()
const error = ref<unknown>(null)
const unclaimed = provideRefusal(error)

async function send(path: string, outputs: number | null): Promise<void> {
  error.value = null
  try {
    await call('POST', path, { outputs })
    emit('changed')
  } catch (refused) {
    error.value = refused
  }
}
</script>

<template>
  <h3>{{ t('elevation.players') }}</h3>
  <NumberField v-for="player in surface.players" :key="player.code" :model-value="player.outputs" :label="t('outputs.outputs-of', { player: player.code })" path="/outputs" @update:model-value="send(`/api/players/${player.code}/outputs`, $event)" />
  <RefusalNote :error="unclaimed" />
  <button type="button" class="btn btn-sm btn-outline-dark" @click="send(`/api/surfaces/${props.surface.code}/players`, 1)">{{ t('outputs.add-player') }}</button>
</template>
