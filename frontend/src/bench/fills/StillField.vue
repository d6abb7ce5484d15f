<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useUploads } from '../../stock/uploads'

/** A picture of the Stock that stands in for what comes from elsewhere. */
defineProps<{ value: string | null }>()
const emit = defineEmits<{ set: [still: string | null] }>()
const { t } = useI18n()
const stock = useUploads()
const pictures = computed(() => stock.media.filter((one) => one.kind === 'picture' && one.state === 'ready'))
const chosen = (event: Event): string | null => (event.target as HTMLSelectElement).value || null
</script>

<template>
  <label>
    {{ t('fill.still') }}
    <BFormSelect size="sm" :model-value="value ?? ''" @change="emit('set', chosen($event))">
      <option value="">{{ t('fill.still-none') }}</option>
      <option v-for="one in pictures" :key="one.id" :value="one.id">{{ one.name }}</option>
    </BFormSelect>
  </label>
</template>
