<script setup lang="ts">
import { BFormInput, BFormSelect } from 'bootstrap-vue-next'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { WebFill } from '../../api/types'
import ColourField from './ColourField.vue'
import FieldRefusal from './FieldRefusal.vue'
import StillField from './StillField.vue'

const props = defineProps<{ fill: WebFill }>()
const emit = defineEmits<{ set: [part: Partial<WebFill>, target: string] }>()
const { t } = useI18n()
/** Windows that pages are made for. */
const WINDOWS = { phone: 390, tablet: 820, desk: 1440 }
const asked = computed(() => Object.entries(WINDOWS).find(([, width]) => width === props.fill.width)?.[0] ?? 'own')
const value = (event: Event): string => (event.target as HTMLInputElement).value
const whole = (event: Event): number => Math.round(Number(value(event)))
const setWindow = (name: string): void => {
  if (name in WINDOWS) emit('set', { width: WINDOWS[name as keyof typeof WINDOWS] }, 'width')
}
</script>

<template>
  <label>
    {{ t('web.address') }}
    <BFormInput
      size="sm"
      maxlength="2000"
      placeholder="https://"
      spellcheck="false"
      :model-value="fill.address"
      @change="emit('set', { address: value($event).trim() }, 'address')" />
  </label>
  <FieldRefusal :at="/\/address$/" />
  <div class="field-row">
    <label>
      {{ t('web.window') }}
      <BFormSelect size="sm" :model-value="asked" @change="setWindow(value($event))">
        <option v-for="(width, name) in WINDOWS" :key="name" :value="name">{{ t(`web.window-${name}`, { px: String(width) }) }}</option>
        <option value="own" :disabled="asked !== 'own'">{{ t('web.window-own') }}</option>
      </BFormSelect>
    </label>
    <label>
      {{ t('web.width') }}
      <BFormInput
        size="sm"
        type="number"
        min="200"
        max="7680"
        :model-value="fill.width"
        @change="emit('set', { width: whole($event) }, 'width')" />
    </label>
  </div>
  <div class="field-row">
    <label>
      {{ t('web.scroll') }}
      <BFormInput
        size="sm"
        type="number"
        min="0"
        max="50000"
        :model-value="fill.scroll"
        @change="emit('set', { scroll: whole($event) }, 'scroll')" />
    </label>
    <label>
      {{ t('web.refresh') }}
      <BFormInput
        size="sm"
        type="number"
        min="10"
        max="86400"
        :placeholder="t('web.never')"
        :model-value="fill.refresh_s ?? ''"
        @change="emit('set', { refresh_s: value($event) === '' ? null : whole($event) }, 'refresh_s')" />
    </label>
  </div>
  <FieldRefusal :at="/\/(width|scroll|refresh_s)$/" />
  <StillField :value="fill.still" @set="emit('set', { still: $event }, 'still')" />
  <ColourField :label="t('fill.ground')" :value="fill.ground" @set="emit('set', { ground: $event }, 'ground')" />
  <p class="hint">{{ t('web.hint') }}</p>
</template>
