<script setup lang="ts">
import { reactive, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { call } from '../api/client'
import type { Figures, Pair } from '../api/types'
import { inches, millimetres, pixels } from '../ui/format'
import RefusalNote from '../ui/RefusalNote.vue'
import NumberField from './NumberField.vue'
import { provideRefusal } from './refusal'

/** Pixels, pitch and size of a panel: any two, and the core gives the third. */
const props = defineProps<{ native?: Pair | null; active?: Pair | null; fixed?: boolean }>()
const figures = defineModel<Figures | null>({ required: true })
const { t } = useI18n()
const error = ref<unknown>(null)
provideRefusal(error)
type Typed = Record<'width' | 'height' | 'pitch' | 'mmWidth' | 'mmHeight' | 'diagonal', number | null>
const typed = reactive<Typed>({ width: null, height: null, pitch: null, mmWidth: null, mmHeight: null, diagonal: null })
let asked = 0

watch(() => [props.native, props.active] as const, ([native, active]) => {
  if (native) [typed.width, typed.height] = native
  if (active) [typed.mmWidth, typed.mmHeight] = active
}, { immediate: true })

watch(typed, async () => {
  const body = {
    ...(typed.width !== null && typed.height !== null ? { native: [typed.width, typed.height] } : {}),
    ...(typed.pitch !== null ? { pitch_mm: [typed.pitch, typed.pitch] } : {}),
    ...(typed.mmWidth !== null && typed.mmHeight !== null ? { active_mm: [typed.mmWidth, typed.mmHeight] } : {}),
    ...(typed.diagonal !== null ? { diagonal_in: typed.diagonal } : {}),
  }
  const mine = ++asked
  error.value = null
  if (Object.keys(body).length < 2) {
    figures.value = null
    if (typed.width !== null && typed.height !== null && [typed.width, typed.height].some((side) => typeof side !== 'number' || side < 1)) await ask(body, mine)
    return
  }
  await ask(body, mine)
}, { deep: true, immediate: true })

async function ask(body: object, mine: number): Promise<void> {
  try {
    const answer = await call<Figures>('POST', '/api/figures', body)
    if (mine === asked) figures.value = answer
  } catch (refused) {
    if (mine !== asked) return
    figures.value = null
    error.value = refused
  }
}
</script>

<template>
  <div class="figures">
    <div class="field-row">
      <NumberField v-model="typed.width" :label="t('shape.px-width')" unit="px" path="/native/0" :disabled="fixed" />
      <NumberField v-model="typed.height" :label="t('shape.px-height')" unit="px" path="/native/1" :disabled="fixed" />
    </div>
    <p class="hint">{{ t('shape.two-of-three') }}</p>
    <div class="field-row">
      <NumberField v-model="typed.pitch" :label="t('shape.pitch')" unit="mm" path="/pitch_mm/0" />
      <NumberField v-model="typed.diagonal" :label="t('shape.diagonal')" unit="in" path="/diagonal_in" />
    </div>
    <div class="field-row">
      <NumberField v-model="typed.mmWidth" :label="t('shape.mm-width')" unit="mm" path="/active_mm/0" />
      <NumberField v-model="typed.mmHeight" :label="t('shape.mm-height')" unit="mm" path="/active_mm/1" />
    </div>
    <RefusalNote :error="error" />
    <p v-if="figures" class="computed measure" role="status">{{ pixels(...figures.native) }} · {{ millimetres(figures.active_mm) }} · {{ inches(figures.active_mm) }} · {{ t('shape.pitch-is', { x: String(figures.pitch_mm[0]), y: String(figures.pitch_mm[1]) }) }}</p>
  </div>
</template>
