<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { SurfaceWhole } from '../api/surfaces'
import NumberField from './NumberField.vue'
import { useSurfaces } from './surfaces'

/** The surface's players and how many outputs each has; taken back like everything else. */
const props = defineProps<{ surface: SurfaceWhole }>()
const { t } = useI18n()
const surfaces = useSurfaces()
const outputs = (player: string, count: number | null): void =>
  void surfaces.send(props.surface.code, [{ do: 'player.outputs', player, outputs: count }], `outputs:${player}`)
const add = (): void => void surfaces.send(props.surface.code, [{ do: 'player.add', player: props.surface.next_player, outputs: 1 }])
const remove = (player: string): void => void surfaces.send(props.surface.code, [{ do: 'player.remove', player }])
</script>

<template>
  <h3>{{ t('elevation.players') }}</h3>
  <div v-for="player in surface.feeding" :key="player.code" class="field-row">
    <NumberField
      :model-value="player.outputs"
      :label="t('outputs.outputs-of', { player: player.code })"
      path="/outputs"
      @update:model-value="outputs(player.code, $event)" />
    <button v-if="surface.feeding.length > 1 && !player.ordered" type="button" class="plain fixed" @click="remove(player.code)">
      {{ t('outputs.remove-player', { player: player.code }) }}
    </button>
  </div>
  <button type="button" class="btn btn-sm btn-outline-dark" @click="add">{{ t('outputs.add-player') }}</button>
</template>
