<script setup lang="ts">
import { BDropdown, BDropdownItemButton, BDropdownText } from 'bootstrap-vue-next'
import { ref, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { MediaLine } from '../api/types'
import { useSession } from '../session/session'
import { timeOfDay } from '../ui/format'
import { useUploads } from './uploads'

/** Another file in a medium's place, wherever it is used; what it was before is brought back the same way. */
const props = defineProps<{ media: MediaLine }>()
const emit = defineEmits<{ refused: [error: unknown] }>()
const { t } = useI18n()
const stock = useUploads()
const session = useSession()
const busy = ref(false)
const input = useTemplateRef<HTMLInputElement>('input')

async function act(work: () => Promise<void>): Promise<void> {
  busy.value = true
  emit('refused', null)
  try {
    await work()
  } catch (refused) {
    emit('refused', refused)
  } finally {
    busy.value = false
  }
}
function chosen(event: Event): void {
  const picker = event.target as HTMLInputElement
  const file = picker.files?.[0]
  picker.value = ''
  if (file) void act(() => stock.replaceByFile(props.media, file))
}
</script>

<template>
  <BDropdown
    size="sm"
    variant="outline-dark"
    :text="t('stock.replace')"
    :disabled="busy"
    :aria-label="t('stock.replace-name', { name: media.name })">
    <BDropdownItemButton @click="input?.click()">{{ t('stock.replace-file') }}</BDropdownItemButton>
    <BDropdownText v-if="media.earlier.length">{{ t('stock.earlier') }}</BDropdownText>
    <BDropdownItemButton v-for="one in media.earlier" :key="one.sha256" @click="act(() => stock.replace(media, one.sha256))">
      {{ t('stock.earlier-one', { name: one.name, until: timeOfDay(one.until, session.site?.zone ?? 'UTC'), by: one.by }) }}
    </BDropdownItemButton>
  </BDropdown>
  <input ref="input" type="file" class="visually-hidden" tabindex="-1" aria-hidden="true" :data-replaces="media.id" @change="chosen" />
</template>
