<script setup lang="ts">
import { ref, toRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { call } from '../api/client'
import type { Figures, Pair } from '../api/surfaces'
import { inches, millimetres, pixels } from '../ui/format'
import RefusalNote from '../ui/RefusalNote.vue'
import NumberField from './NumberField.vue'
import { provideRefusal } from './refusal'
import type { TypedFigures } from './useNewShape'

/** Pixels, pitch and size of a panel: any two, and the core gives the third. */
const props = defineProps<{ typed: TypedFigures; native: Pair | null }>()
const figures = defineModel<Figures | null>({ required: true })
const { t } = useI18n()
const error = ref<unknown>(null)
const unclaimed = provideRefusal(error)
const fields = toRef(props, 'typed')
let asked = 0

watch(
  [props.typed, () => props.native],
  async () => {
    const { width, height, pitch, mmWidth, mmHeight, diagonal } = props.typed
    const px = props.native ?? (width !== null && height !== null ? [width, height] : null)
    const body = {
      ...(px ? { native: px } : {}),
      ...(pitch !== null ? { pitch_mm: [pitch, pitch] } : {}),
      ...(mmWidth !== null && mmHeight !== null ? { active_mm: [mmWidth, mmHeight] } : {}),
      ...(diagonal !== null ? { diagonal_in: diagonal } : {}),
    }
    const mine = ++asked
    error.value = null
    try {
      const answer = Object.keys(body).length ? await call<{ figures: Figures | null }>('POST', '/api/figures', body) : { figures: null }
      if (mine === asked) figures.value = answer.figures
    } catch (refused) {
      if (mine !== asked) return
      figures.value = null
      error.value = refused
    }
  },
  { deep: true, immediate: true },
)
</script>

<template>
  <div class="figures">
    <div class="field-row">
      <NumberField
        :model-value="native ? native[0] : fields.width"
        :label="t('shape.px-width')"
        unit="px"
        path="/native/0"
        :disabled="native !== null"
        @update:model-value="fields.width = $event" />
      <NumberField
        :model-value="native ? native[1] : fields.height"
        :label="t('shape.px-height')"
        unit="px"
        path="/native/1"
        :disabled="native !== null"
        @update:model-value="fields.height = $event" />
    </div>
    <p class="hint">{{ t('shape.two-of-three') }}</p>
    <div class="field-row">
      <NumberField v-model="fields.pitch" :label="t('shape.pitch')" unit="mm" path="/pitch_mm/0" />
      <NumberField v-model="fields.diagonal" :label="t('shape.diagonal')" unit="in" path="/diagonal_in" />
    </div>
    <div class="field-row">
      <NumberField v-model="fields.mmWidth" :label="t('shape.mm-width')" unit="mm" path="/active_mm/0" />
      <NumberField v-model="fields.mmHeight" :label="t('shape.mm-height')" unit="mm" path="/active_mm/1" />
    </div>
    <RefusalNote :error="unclaimed" />
    <p v-if="figures" class="computed measure" role="status">
      {{ pixels(...figures.native) }} · {{ millimetres(figures.active_mm) }} · {{ inches(figures.active_mm) }} ·
      {{ t('shape.pitch-is', { x: String(figures.pitch_mm[0]), y: String(figures.pitch_mm[1]) }) }}
    </p>
  </div>
</template>
