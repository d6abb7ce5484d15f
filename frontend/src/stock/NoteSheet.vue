<script setup lang="ts">
import { BFormInput, BFormTextarea, BModal } from 'bootstrap-vue-next'
import { ref, useId } from 'vue'
import { useI18n } from 'vue-i18n'
import type { MediaLine } from '../api/types'
import RefusalNote from '../ui/RefusalNote.vue'
import { useUploads } from './uploads'

/** What people note of a medium. What is typed stays when it is refused. */
const props = defineProps<{ media: MediaLine }>()
const emit = defineEmits<{ close: [before: MediaLine | null] }>()
const { t } = useI18n()
const stock = useUploads()
const id = useId()
const shown = ref(true)
const tags = ref(props.media.notes.tags.join(', '))
const licence = ref(props.media.notes.licence)
const folder = ref(props.media.notes.folder)
const until = ref(props.media.notes.until ?? '')
const error = ref<unknown>(null)

async function save(): Promise<void> {
  error.value = null
  const words = tags.value
    .split(',')
    .map((one) => one.trim())
    .filter(Boolean)
  try {
    await stock.note(props.media, { tags: words, licence: licence.value, until: until.value || null, folder: folder.value })
    emit('close', props.media)
  } catch (refused) {
    error.value = refused
  }
}
</script>

<template>
  <BModal v-model="shown" :title="t('stock.notes-of', { name: media.name })" :header-close-label="t('close')" @hidden="emit('close', null)">
    <RefusalNote :error="error" />
    <label>
      {{ t('stock.folder') }}
      <BFormInput v-model="folder" size="sm" :aria-describedby="`${id}-folder`" maxlength="120" list="stock-folders" />
      <datalist id="stock-folders"><option v-for="one in stock.folders" :key="one" :value="one" /></datalist>
    </label>
    <p :id="`${id}-folder`" class="hint">{{ t('stock.folder-hint') }}</p>
    <label>
      {{ t('stock.tags') }}
      <BFormInput v-model="tags" size="sm" :aria-describedby="`${id}-tags`" />
    </label>
    <p :id="`${id}-tags`" class="hint">{{ t('stock.tags-hint') }}</p>
    <label>
      {{ t('stock.licence') }}
      <BFormTextarea v-model="licence" size="sm" rows="2" maxlength="500" />
    </label>
    <label>
      {{ t('stock.until') }}
      <BFormInput v-model="until" size="sm" :aria-describedby="`${id}-until`" type="date" />
    </label>
    <p :id="`${id}-until`" class="hint">{{ t('stock.until-hint') }}</p>
    <template #footer>
      <button type="button" class="btn btn-outline-dark" @click="shown = false">{{ t('stock.cancel') }}</button>
      <button type="button" class="btn btn-primary" @click="save">{{ t('stock.save') }}</button>
    </template>
  </BModal>
</template>
