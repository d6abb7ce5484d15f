<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { useSession } from '../session/session'
import { useUploads } from '../stock/uploads'
import RefusalNote from '../ui/RefusalNote.vue'
import BenchBar from './BenchBar.vue'
import BenchCanvas from './BenchCanvas.vue'
import BesideSheets from './BesideSheets.vue'
import ConflictChoice from './ConflictChoice.vue'
import { useDesign } from './design'
import FindingList from './FindingList.vue'
import { mediaFill, freshEntry } from './fills'
import HistoryList from './HistoryList.vue'
import MissingZones from './MissingZones.vue'
import OtherSurfaces from './OtherSurfaces.vue'
import ParticularsPanel from './ParticularsPanel.vue'
import { carried } from './stockDrag'
import StockShelf from './StockShelf.vue'
import TimeRail from './TimeRail.vue'
import TitleBlock from './TitleBlock.vue'
import { useBeside } from './useBeside'
import { usePlayhead } from './usePlayhead'
import type { MediaLine } from '../api/types'

const { t } = useI18n()
const route = useRoute()
const router = useRouter()
const design = useDesign()
const stock = useUploads()
const session = useSession()
const error = ref<unknown>(null)
const canvas = ref<InstanceType<typeof BenchCanvas>>()
const tabs = ['particulars', 'stock', 'preflight', 'other', 'history'] as const
const tab = ref<(typeof tabs)[number]>('particulars')
const playhead = usePlayhead((tMs, running) => canvas.value?.draw(tMs, running))
const id = computed(() => (typeof route.params['design'] === 'string' ? route.params['design'] : ''))
const beside = useBeside(computed(() => (design.id === id.value ? id.value : '')), () => design.answer?.revision ?? 0)
const LAST = 'bench:last'

watch(id, async (wanted) => {
  const last = localStorage.getItem(LAST)
  if (wanted === '') {
    if (last) await router.replace({ name: 'bench', params: { design: last } })
    return
  }
  playhead.pause()
  error.value = null
  try {
    await design.open(wanted, typeof route.query['layout'] === 'string' ? route.query['layout'] : '')
    localStorage.setItem(LAST, wanted)
    const zone = typeof route.query['zone'] === 'string' ? route.query['zone'] : null
    design.selected = zone && design.zones[zone] ? zone : (design.order[0] ?? null)
    playhead.seek(0)
  } catch (refused) {
    localStorage.removeItem(LAST)
    error.value = refused
  }
}, { immediate: true })

/** The address says which zone and which layout are looked at. */
watch([() => design.selected, () => design.layout], ([zone, layout]) => {
  if (zone && id.value === design.id) void router.replace({ query: { ...route.query, zone, layout: layout.endsWith('.turned') ? layout : undefined } })
})
watch(() => design.plans, () => requestAnimationFrame(() => canvas.value?.draw(playhead.tMs.value, playhead.playing.value)))

async function openLayout(layout: string): Promise<void> {
  await design.show(layout)
  design.selected = design.order[0] ?? null
}
/** Dropped on a playlist a medium becomes its last entry; on anything else it becomes the fill. */
function put(zone: string, media: MediaLine): void {
  const fill = design.documents[zone]?.fill
  design.selected = zone
  tab.value = 'particulars'
  if (fill?.kind === 'playlist') void design.send([{ do: 'entry.add', scene: design.answer?.scene ?? '', zone, entry: freshEntry(mediaFill(media)), before: null }])
  else void design.setFill(zone, mediaFill(media))
}

function keys(event: KeyboardEvent): void {
  const typing = event.target instanceof HTMLElement && event.target.matches('input, textarea, select')
  if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z' || typing) return
  event.preventDefault()
  void design.step(event.shiftKey ? 'redo' : 'undo')
}
onMounted(() => {
  addEventListener('keydown', keys)
  void stock.load()
})
onUnmounted(() => removeEventListener('keydown', keys))
</script>

<template>
  <div v-if="design.answer && design.id === id" class="bench with-column">
    <section class="bench-work">
      <BenchBar @layout="openLayout" />
      <RefusalNote :error="design.refusal" />
      <MissingZones />
      <div class="bench-middle" :class="{ split: beside.codes.value.length }">
        <BenchCanvas ref="canvas" @play="playhead.toggle()" @step="(by) => playhead.seek(playhead.tMs.value + by)" />
        <BesideSheets v-if="beside.codes.value.length" :sheets="beside.sheets.value" :t-ms="playhead.tMs.value" :error="beside.error.value" @away="(code) => beside.toggle([code], false)" />
      </div>
      <div class="bench-foot">
        <TimeRail :t-ms="playhead.tMs.value" :playing="playhead.playing.value" @toggle="playhead.toggle()" @seek="playhead.seek" />
        <TitleBlock v-if="canvas" :scale="canvas.scale" :true-size="canvas.trueSize" @fit="canvas.trueSize = false" @true="canvas.trueSize = true" />
      </div>
    </section>
    <aside class="column" :aria-label="t(`bench.${tab}`)">
      <div class="tabs" role="tablist" :aria-label="t('bench.particulars')">
        <button v-for="one in tabs" :id="`tab-${one}`" :key="one" type="button" role="tab" :aria-selected="tab === one" aria-controls="bench-panel" :tabindex="tab === one ? 0 : -1" @click="tab = one"
          @keydown.right="tab = tabs[(tabs.indexOf(one) + 1) % tabs.length]!" @keydown.left="tab = tabs[(tabs.indexOf(one) + tabs.length - 1) % tabs.length]!">
          {{ t(`bench.${one}`) }}<span v-if="one === 'preflight' && design.allFindings.length" class="count">{{ design.allFindings.length }}</span>
        </button>
      </div>
      <div id="bench-panel" role="tabpanel" :aria-labelledby="`tab-${tab}`" tabindex="0">
        <p v-if="!session.designs()" class="hint">{{ t('bench.view-only') }}</p>
        <ParticularsPanel v-if="tab === 'particulars'" />
        <StockShelf v-else-if="tab === 'stock'" @put="put" />
        <FindingList v-else-if="tab === 'preflight'" @lead="tab = 'particulars'" />
        <OtherSurfaces v-else-if="tab === 'other'" :codes="beside.codes.value" :t-ms="playhead.tMs.value" @toggle="beside.toggle" />
        <HistoryList v-else />
      </div>
    </aside>
    <div v-if="carried.media" class="carried" :style="{ transform: `translate(${carried.x + 12}px, ${carried.y + 12}px)` }" aria-hidden="true">
      <img v-if="carried.media.state === 'ready'" :src="`/media/${carried.media.sha256}/thumbnail`" alt="" />{{ carried.media.name }}
    </div>
    <ConflictChoice v-if="design.conflict" :problem="design.conflict" @choose="design.resolve" />
  </div>
  <div v-else-if="!id || error" class="empty-place">
    <RefusalNote :error="error" />
    <h1>{{ t('bench.none') }}</h1>
    <p class="hint">{{ t('bench.choose') }}</p>
    <RouterLink class="btn btn-primary" to="/elevation">{{ t('bench.to-elevation') }}</RouterLink>
  </div>
  <p v-else class="empty-place" role="status">{{ t('loading') }}</p>
</template>
