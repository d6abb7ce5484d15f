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
const KINDS =
  'image/jpeg,image/png,image/webp,image/gif,image/tiff,image/bmp,image/avif,image/svg+xml,application/pdf,.heic,.heif,' +
  'video/*,audio/*,.mkv,.mov,.ts,.ttf,.otf,.zip'
</script>

<template>
  <button type="button" class="btn btn-primary btn-sm" @click="input?.click()">{{ t('stock.choose') }}</button>
  <input ref="input" hidden type="file" multiple :accept="KINDS" @change="chosen" />
</template>
