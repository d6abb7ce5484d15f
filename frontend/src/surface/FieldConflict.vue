<script setup lang="ts">
import { BModal } from 'bootstrap-vue-next'
import { useI18n } from 'vue-i18n'
import type { Problem } from '../api/types'

/** Someone else set the same field meanwhile: both versions, and a choice. */
defineProps<{ problem: Problem }>()
const emit = defineEmits<{ choose: [mine: boolean] }>()
const { t } = useI18n()
const words = (value: unknown): string => (typeof value === 'string' ? value : JSON.stringify(value))
</script>

<template>
  <BModal :model-value="true" :title="problem.title" no-footer @hide="emit('choose', false)">
    <dl v-for="(value, field) in problem.theirs" :key="field" class="particulars">
      <dt>{{ t(`field.${field}`) }}</dt><dd>{{ t('conflict.theirs') }}: {{ words(value) }}</dd>
      <dt></dt><dd>{{ t('conflict.yours') }}: {{ words(problem.yours?.[field]) }}</dd>
    </dl>
    <div class="button-row">
      <button type="button" class="btn btn-sm btn-outline-dark" @click="emit('choose', false)">{{ t('conflict.keep-theirs') }}</button>
      <button type="button" class="btn btn-sm btn-primary" @click="emit('choose', true)">{{ t('conflict.use-mine') }}</button>
    </div>
  </BModal>
</template>
