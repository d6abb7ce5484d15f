<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { call } from '../api/client'
import type { Effects, Shape, SurfaceWhole } from '../api/surfaces'
import FindingLines from '../ui/FindingLines.vue'
import { pixels } from '../ui/format'
import RefusalNote from '../ui/RefusalNote.vue'
import EffectsList from './EffectsList.vue'
import PanelList from './PanelList.vue'
import { provideRefusal } from './refusal'
import ShapeDrawing from './ShapeDrawing.vue'
import { useSurfaces } from './surfaces'
import { freed, moved, useResolved } from './useResolved'
import WallFields from './WallFields.vue'

/** The panels and their mounting. What a change does to the designs is shown first, then it is made. */
const props = defineProps<{ surface: SurfaceWhole }>()
const { t } = useI18n()
const surfaces = useSurfaces()
const shape = ref<Shape>(props.surface.shape)
const effects = ref<Effects | null>(null)
const chosen = ref<string | null>(null)
const error = ref<unknown>(null)
const { resolved, error: unresolved } = useResolved(() => shape.value)
const unclaimed = provideRefusal(computed(() => unresolved.value ?? error.value))
const changed = computed(() => JSON.stringify(shape.value) !== JSON.stringify(props.surface.shape))
const turn = computed({
  get: () => shape.value.panels?.[0]?.rotation ?? 0,
  set: (rotation: number) =>
    void (shape.value = { ...shape.value, panels: (shape.value.panels ?? []).map((panel) => ({ ...panel, rotation })) }),
})
const single = computed(() => shape.value.panels?.length === 1)

/** What is kept has become another: a draft that was made on it goes, and one that others' changes leave alone stays. */
watch(
  () => JSON.stringify(props.surface.shape),
  () => void (shape.value = props.surface.shape),
)
watch(shape, () => void (effects.value = null))

async function look(): Promise<void> {
  error.value = null
  try {
    effects.value = await call<Effects>('POST', `/api/surfaces/${props.surface.code}/effects`, { shape: shape.value })
  } catch (refused) {
    error.value = refused
  }
}
async function make(): Promise<void> {
  if (await surfaces.change(props.surface.code, { shape: shape.value })) effects.value = null
}
</script>

<template>
  <fieldset :disabled="!surfaces.mayMount">
    <ShapeDrawing
      v-if="resolved"
      class="small"
      :shape="resolved"
      :label="t('shape.drawing')"
      :movable="!single && !!shape.panels"
      :chosen="chosen ? [chosen] : []"
      @move="(id, by) => (shape = moved(shape, id, by))"
      @pick="chosen = $event" />
    <p v-if="resolved" class="computed measure" role="status">
      {{ t('elevation.canvas') }} {{ pixels(...resolved.canvas) }}, {{ t(`elevation.${resolved.orientation}`) }}
    </p>
    <label v-if="single">
      {{ t('surface.mounting') }}
      <BFormSelect size="sm" v-model="turn">
        <option v-for="one in [0, 90, 180, 270]" :key="one" :value="one">{{ t('surface.turn', { turn: String(one) }) }}</option>
      </BFormSelect>
    </label>
    <WallFields v-model="shape" figures />
    <button v-if="shape.grid" type="button" class="plain" :disabled="!resolved" @click="resolved && (shape = freed(shape, resolved))">
      {{ t('shape.free') }}
    </button>
    <PanelList v-else v-model="shape" :resolved="resolved" :chosen="chosen" @choose="chosen = $event" />
    <RefusalNote :error="unclaimed" />
    <FindingLines :findings="resolved?.findings ?? []" />
    <div v-if="changed" class="button-row">
      <button type="button" class="btn btn-sm btn-primary" :disabled="!!unresolved" @click="look">{{ t('surface.show-effects') }}</button>
      <button type="button" class="btn btn-sm btn-outline-dark" @click="shape = surface.shape">{{ t('surface.leave-it') }}</button>
    </div>
    <template v-if="effects">
      <EffectsList :effects="effects" />
      <button type="button" class="btn btn-sm btn-primary" @click="make">{{ t('surface.apply') }}</button>
    </template>
  </fieldset>
</template>
