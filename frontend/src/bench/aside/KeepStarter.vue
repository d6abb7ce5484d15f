<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import RefusalNote from '../../ui/RefusalNote.vue'
import { useStarters } from '../store/useStarters'

/** Keeps the glazing of the open layout for others to begin with. */
const { t } = useI18n()
const starters = useStarters()
const name = ref('')
const kept = ref('')

async function keep(): Promise<void> {
  const wanted = name.value.trim()
  if (wanted === '' || !(await starters.keep(wanted))) return
  kept.value = wanted
  name.value = ''
}
</script>

<template>
  <h3>{{ t('starter.keep') }}</h3>
  <p class="hint">{{ t('starter.keep-hint') }}</p>
  <form @submit.prevent="keep">
    <label>
      {{ t('starter.name') }}
      <BFormInput v-model="name" size="sm" maxlength="80" />
    </label>
    <button type="submit" class="btn btn-sm btn-outline-dark" :disabled="name.trim() === ''">{{ t('starter.save') }}</button>
  </form>
  <p v-if="kept" role="status">{{ t('starter.kept', { name: kept }) }}</p>
  <RefusalNote :error="starters.error.value" />
</template>
