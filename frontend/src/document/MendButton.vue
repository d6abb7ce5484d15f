<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { call } from '../api/client'
import RefusalNote from '../ui/RefusalNote.vue'

/** Restores a document that cannot be read; what keeps that from being done is said beside it. */
const props = defineProps<{ document: string }>()
const emit = defineEmits<{ mended: [] }>()
const { t } = useI18n()
const batch = crypto.randomUUID()
const error = ref<unknown>(null)

async function mend(): Promise<void> {
  error.value = null
  try {
    await call('POST', `/api/documents/${props.document}/mend`, { batch })
    emit('mended')
  } catch (refused) {
    error.value = refused
  }
}
</script>

<template>
  <button type="button" class="btn btn-primary" @click="mend">{{ t('history.restore') }}</button>
  <RefusalNote :error="error" />
</template>
