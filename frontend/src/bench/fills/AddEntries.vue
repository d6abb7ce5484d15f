<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next'
import { useI18n } from 'vue-i18n'
import type { Command } from '../../api/types'
import { useUploads } from '../../stock/uploads'
import { useDesign } from '../store/design'

/** What comes into a list: a text, a colour, or all pictures and videos of a folder of the Stock as one step. */
const props = defineProps<{ zone: string }>()
const emit = defineEmits<{ open: [entry: string] }>()
const { t } = useI18n()
const design = useDesign()
const stock = useUploads()
const add = (kind: 'text' | 'colour'): void =>
  emit('open', design.beginEntry(props.zone, kind, kind === 'text' ? { text: t('playlist.fresh-text') } : {}))
function addFolder(event: Event): void {
  const select = event.target as HTMLSelectElement
  const folder = select.value
  select.value = ''
  const shown = stock.media
    .filter((one) => stock.isIn(one, folder) && (one.kind === 'picture' || one.kind === 'video'))
    .sort((one, other) => one.name.localeCompare(other.name, undefined, { numeric: true }))
  if (folder && shown.length)
    void design.send(
      shown.map((one): Command => ({ do: 'entry.begin', zone: props.zone, entry: design.fresh('e'), kind: one.kind, media: one.id })),
    )
}
</script>

<template>
  <div class="merge-row">
    <button type="button" class="btn btn-sm btn-outline-dark" @click="add('text')">{{ t('playlist.add-text') }}</button>
    <button type="button" class="btn btn-sm btn-outline-dark" @click="add('colour')">{{ t('playlist.add-colour') }}</button>
    <BFormSelect v-if="stock.folders.length" size="sm" :model-value="''" :aria-label="t('playlist.add-folder')" @change="addFolder">
      <option value="">{{ t('playlist.add-folder') }}</option>
      <option v-for="folder in stock.folders" :key="folder" :value="folder">{{ folder }}</option>
    </BFormSelect>
  </div>
  <p class="hint">{{ t('playlist.add-hint') }}</p>
</template>
