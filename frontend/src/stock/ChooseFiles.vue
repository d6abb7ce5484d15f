<script setup lang="ts">
import { useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { useUploads } from './uploads'

/** Files of this machine, into the Stock. */
const { t } = useI18n()
const stock = useUploads()
const input = useTemplateRef<HTMLInputElement>('input')

function chosen(): void {
  const files = [...(input.value?.files ?? [])]
  if (input.value) input.value.value = ''
  void stock.sendAll(files)
}
</script>

<template>
  <button type="button" class="btn btn-primary btn-sm" @click="input?.click()">{{ t('stock.choose') }}</button>
  <input
    ref="input"
    class="visually-hidden"
    type="file"
    multiple
    accept=".jpg,.jpeg,.png,.webp,.mp4,.webm"
    :aria-label="t('stock.choose')"
    tabindex="-1"
    @change="chosen" />
</template>
