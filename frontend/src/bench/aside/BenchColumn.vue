<script setup lang="ts">
import { nextTick, ref, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { MediaLine } from '../../api/types'
import HistoryList from '../../document/HistoryList.vue'
import PlaceTabs from '../../ui/PlaceTabs.vue'
import ThingColumn from '../../ui/ThingColumn.vue'
import { useDrawn } from '../../ui/useDrawn'
import type { Aside, Face } from './column'
import { useDesign } from '../store/design'
import DrawingFields from './DrawingFields.vue'
import FindingList from './FindingList.vue'
import OtherSurfaces from './OtherSurfaces.vue'
import ParticularsPanel from './ParticularsPanel.vue'
import PastSheet from './PastSheet.vue'
import MomentSheet from '../time/MomentSheet.vue'
import type { MomentView } from '../time/useMoment'
import SceneFields from '../scenes/SceneFields.vue'
import SheetLinks from './SheetLinks.vue'
import StockShelf from './StockShelf.vue'

/** The column beside the canvas: its faces, and over them what was opened from where it is read, until Escape. */
defineProps<{ beside: string[]; styled: string[]; tMs: number; moment: MomentView }>()
const emit = defineEmits<{
  put: [zone: string, media: MediaLine]
  'put-all': [zone: string, media: MediaLine[]]
  beside: [codes: string[], on: boolean]
  style: [id: string, on: boolean]
}>()
const face = defineModel<Face>('face', { required: true })
const aside = defineModel<Aside | null>('aside', { required: true })
const { t } = useI18n()
const design = useDesign()
const faces = ['particulars', 'stock'] as const
const head = useTemplateRef<HTMLElement>('head')
/** The earlier revision that is looked at. */
const past = ref<number | null>(null)
const drawn = useDrawn()
let opener: Element | null = null

function lead(): void {
  aside.value = null
  face.value = 'particulars'
}
/** The focus goes along: to what was opened, and back to where it was opened from. */
watch(aside, async (opened, before) => {
  past.value = null
  if (opened && !before) opener = document.activeElement
  await nextTick()
  if (opened) head.value?.focus()
  else if (opener instanceof HTMLElement && opener.isConnected) opener.focus()
})
</script>

<template>
  <ThingColumn :label="t(`bench.${aside ?? face}`)" :about="aside">
    <div v-if="aside" class="aside-head">
      <h2 ref="head" tabindex="-1">{{ t(`bench.${aside}`) }}</h2>
      <button type="button" class="btn btn-sm btn-outline-dark" @click="aside = null">
        {{ t('bench.back') }}
        <kbd>Esc</kbd>
      </button>
    </div>
    <PlaceTabs
      v-else
      v-model="face"
      :tabs="faces"
      :label="t('bench.particulars')"
      :words="(one) => t(`bench.${one}`)"
      panel="bench-panel" />
    <div
      id="bench-panel"
      :role="aside ? 'region' : 'tabpanel'"
      :aria-label="aside ? t(`bench.${aside}`) : undefined"
      :aria-labelledby="aside ? undefined : `bench-panel-${face}`"
      tabindex="0">
      <p v-if="!design.mayChange" class="hint">{{ t('bench.view-only') }}</p>
      <FindingList v-if="aside === 'preflight'" @lead="lead" />
      <OtherSurfaces
        v-else-if="aside === 'other'"
        :codes="beside"
        :styled="styled"
        :t-ms="tMs"
        @toggle="(codes, on) => emit('beside', codes, on)"
        @style="(id, on) => emit('style', id, on)" />
      <SheetLinks v-else-if="aside === 'sheets'" />
      <DrawingFields v-else-if="aside === 'drawing'" />
      <SceneFields v-else-if="aside === 'scene'" />
      <MomentSheet v-else-if="aside === 'moment'" :moment="moment" />
      <PastSheet v-else-if="aside === 'history' && past !== null" :revision="past" @away="past = null" />
      <HistoryList
        v-else-if="aside === 'history'"
        lookable
        @look="past = $event"
        :document="design.id"
        :revision="design.revision"
        :zone="design.answer?.surface?.zone ?? 'UTC'" />
      <ParticularsPanel v-else-if="face === 'particulars' && drawn" @stock="face = 'stock'" />
      <StockShelf
        v-else-if="face === 'stock'"
        @put="(zone, media) => emit('put', zone, media)"
        @put-all="(zone, media) => emit('put-all', zone, media)" />
    </div>
  </ThingColumn>
</template>
