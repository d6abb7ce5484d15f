<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { MediaLine } from '../api/types'
import { useSession } from '../session/session'
import { useUploads } from './uploads'

/** What is done with several media at once, in one step each. */
const props = defineProps<{ media: MediaLine[] }>()
const emit = defineEmits<{ file: [folder: string]; tag: [tag: string]; remove: []; clear: [] }>()
const { t } = useI18n()
const stock = useUploads()
const session = useSession()
const folder = ref('')
const tag = ref('')
function file(): void {
  emit('file', folder.value.trim())
}
function mark(): void {
  if (tag.value.trim() !== '') emit('tag', tag.value.trim())
  tag.value = ''
}
</script>

<template>
  <div class="several-bar" role="group" :aria-label="t('stock.several', { count: props.media.length })">
    <strong role="status">{{ t('stock.several', { count: props.media.length }) }}</strong>
    <form v-if="session.may('fill')" @submit.prevent="file">
      <label>
        {{ t('stock.folder') }}
        <BFormInput v-model="folder" size="sm" maxlength="120" list="several-folders" />
      </label>
      <datalist id="several-folders"><option v-for="one in stock.folders" :key="one" :value="one" /></datalist>
      <button type="submit" class="btn btn-sm btn-primary">{{ t('stock.file-here') }}</button>
    </form>
    <form v-if="session.may('fill')" @submit.prevent="mark">
      <label>
        {{ t('stock.tag') }}
        <BFormInput v-model="tag" size="sm" maxlength="40" />
      </label>
      <button type="submit" class="btn btn-sm btn-outline-dark">{{ t('stock.tag-them') }}</button>
    </form>
    <button v-if="session.may('clear')" type="button" class="btn btn-sm btn-outline-dark" @click="emit('remove')">
      {{ t('stock.take-them') }}
    </button>
    <button type="button" class="plain" @click="emit('clear')">
      {{ t('stock.none-chosen') }}
      <kbd>Esc</kbd>
    </button>
  </div>
</template>

<style scoped>
.several-bar {
  position: sticky;
  top: 0;
  z-index: 5;
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem 1rem;
  align-items: end;
  padding: 0.5rem 1rem;
  background: var(--sheet);
  border-block: 1px solid var(--edge);
}
.several-bar form {
  display: flex;
  gap: 0.4rem;
  align-items: end;
}
.several-bar label {
  margin: 0;
}
</style>
