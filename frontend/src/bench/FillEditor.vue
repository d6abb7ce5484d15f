<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Fill } from '../api/types'
import type { Item } from '../plan/types'
import ColourField from './ColourField.vue'
import MediaFields from './MediaFields.vue'
import PlaylistEditor from './PlaylistEditor.vue'
import TextFields from './TextFields.vue'

const props = defineProps<{ fill: Fill; items: Item[] }>()
const emit = defineEmits<{ change: [fill: Fill, target: string] }>()
const { t } = useI18n()
const set = (part: Partial<Fill>, target: string): void => emit('change', { ...props.fill, ...part } as Fill, target)
</script>

<template>
  <p v-if="fill.kind === 'empty'" class="hint">{{ t('fill.choose') }}</p>
  <ColourField
    v-else-if="fill.kind === 'colour'"
    :label="t('fill.colour-label')"
    :value="fill.colour"
    @set="(colour) => set({ colour }, 'colour')" />
  <MediaFields v-else-if="fill.kind === 'picture' || fill.kind === 'video'" :fill="fill" :item="items[0]" @set="set" />
  <TextFields v-else-if="fill.kind === 'text' || fill.kind === 'clock'" :fill="fill" :item="items[0]" @set="set" />
  <PlaylistEditor v-else-if="fill.kind === 'playlist'" :fill="fill" :items="items" />
</template>
