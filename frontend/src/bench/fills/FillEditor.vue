<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Fill } from '../../api/types'
import type { Item } from '../../plan/types'
import type { Section } from './fillParts'
import ChartFields from './ChartFields.vue'
import ColourField from './ColourField.vue'
import DialFields from './DialFields.vue'
import { useDesign } from '../store/design'
import LiveFields from './LiveFields.vue'
import MediaFields from './MediaFields.vue'
import PlaylistEditor from './PlaylistEditor.vue'
import ProgressFields from './ProgressFields.vue'
import QrFields from './QrFields.vue'
import ShapeFields from './ShapeFields.vue'
import TextFields from './TextFields.vue'
import WebFields from './WebFields.vue'

/** `part`: which section of the particulars it stands in; without one, all of it. */
const props = defineProps<{ fill: Fill; items: Item[]; part?: Section | undefined }>()
const emit = defineEmits<{ change: [fill: Fill, target: string] }>()
const { t } = useI18n()
const design = useDesign()
/** As it was sent last: while that is on the way, the next change goes on from it and takes nothing back. */
let sent: Fill | null = null
/** A kind of fill without fields of its own does not compile. */
const without = (fill: never): never => fill
function set(part: Partial<Fill>, target: string): void {
  const base = design.waiting > 0 && sent?.kind === props.fill.kind ? sent : props.fill
  sent = { ...base, ...part } as Fill
  emit('change', sent, target)
}
</script>

<template>
  <p v-if="fill.kind === 'empty'" class="hint">{{ t('fill.choose') }}</p>
  <ColourField
    v-else-if="fill.kind === 'colour'"
    :label="t('fill.colour-label')"
    :value="fill.colour"
    @set="(colour) => set({ colour }, 'colour')" />
  <MediaFields
    v-else-if="fill.kind === 'picture' || fill.kind === 'video'"
    :fill="fill"
    :item="items[0]"
    :zone="design.zone ? [design.zone.rect[2], design.zone.rect[3]] : undefined"
    :part="part"
    @set="set" />
  <TextFields
    v-else-if="fill.kind === 'text' || fill.kind === 'clock' || fill.kind === 'count'"
    :fill="fill"
    :item="items[0]"
    :part="part"
    @set="set" />
  <DialFields v-else-if="fill.kind === 'dial'" :fill="fill" @set="set" />
  <ProgressFields v-else-if="fill.kind === 'progress'" :fill="fill" @set="set" />
  <QrFields v-else-if="fill.kind === 'qr'" :fill="fill" :item="items[0]" @set="set" />
  <ShapeFields v-else-if="fill.kind === 'shape'" :fill="fill" @set="set" />
  <ChartFields v-else-if="fill.kind === 'chart'" :fill="fill" @set="set" />
  <WebFields v-else-if="fill.kind === 'web'" :fill="fill" @set="set" />
  <LiveFields v-else-if="fill.kind === 'live'" :fill="fill" @set="set" />
  <PlaylistEditor v-else-if="fill.kind === 'playlist'" :fill="fill" :items="items" />
  <template v-else>{{ without(fill) }}</template>
</template>
