<script setup lang="ts">
import { BFormInput, BFormSelect } from 'bootstrap-vue-next'
import { useI18n } from 'vue-i18n'
import type { CountFill } from '../../api/types'

defineProps<{ fill: CountFill }>()
const emit = defineEmits<{ set: [part: Partial<CountFill>, target: string] }>()
const { t } = useI18n()
const at = (event: Event): void => {
  const typed = (event.target as HTMLInputElement).value
  if (typed) emit('set', { at: typed }, 'at')
}
</script>

<template>
  <div class="field-row count-row">
    <label>
      {{ t('count.direction') }}
      <BFormSelect
        size="sm"
        :model-value="String(fill.up)"
        @change="emit('set', { up: ($event.target as HTMLSelectElement).value === 'true' }, 'up')">
        <option value="false">{{ t('count.down') }}</option>
        <option value="true">{{ t('count.up') }}</option>
      </BFormSelect>
    </label>
    <label>
      {{ t('count.at') }}
      <BFormInput size="sm" class="measure" type="datetime-local" step="1" :model-value="fill.at" @change="at" />
    </label>
  </div>
</template>

<style scoped>
.count-row {
  flex-wrap: wrap;
}
.count-row label:last-child {
  flex: 1 0 100%;
}
</style>
