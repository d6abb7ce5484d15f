<script setup lang="ts">
import { storeToRefs } from 'pinia'
import { computed, onMounted, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import { call } from '../api/client'
import type { Output, ResolvedPanel, Slice, Wiring } from '../api/types'
import { useSession } from '../session/session'
import FindingMark from '../ui/FindingMark.vue'
import { pixels } from '../ui/format'
import RefusalNote from '../ui/RefusalNote.vue'
import FieldConflict from './FieldConflict.vue'
import PlayerOutputs from './PlayerOutputs.vue'
import RasterDrawing from './RasterDrawing.vue'
import { provideRefusal } from './refusal'
import ShapeDrawing from './ShapeDrawing.vue'
import SliceFields from './SliceFields.vue'
import { useSurfaces } from './surfaces'
import WiringWays from './WiringWays.vue'

const { t } = useI18n()
const route = useRoute()
const session = useSession()
const surfaces = useSurfaces()
const { error } = storeToRefs(surfaces)
provideRefusal(error)
const code = computed(() => String(route.params['surface']))
const surface = computed(() => (surfaces.whole?.code === code.value ? surfaces.whole : null))
const outputs = computed(() => surface.value?.wiring.outputs ?? [])
const lit = ref<string | null>(null)
const chosen = ref<{ output: number; slice: number } | null>(null)
/** The panels clicked so far, in the order they are wired; null while nobody is wiring. */
const order = ref<string[] | null>(null)
const slice = computed(() => (chosen.value ? (outputs.value[chosen.value.output]?.slices[chosen.value.slice] ?? null) : null))

watch(code, (wanted) => void surfaces.open(wanted), { immediate: true })
onMounted(() => void (surfaces.elevation || surfaces.load()))

async function wire(body: Record<string, unknown>): Promise<void> {
  error.value = null
  try {
    const made = await call<Wiring>('POST', `/api/surfaces/${code.value}/wire`, body)
    chosen.value = null
    await surfaces.change(code.value, { outputs: made.outputs })
  } catch (refused) {
    error.value = refused
  }
}
function pick(panel: string): void {
  if (!order.value || !surface.value) return
  order.value = order.value.includes(panel) ? order.value.filter((id) => id !== panel) : [...order.value, panel]
  if (order.value.length < surface.value.panels.length) return
  const panels = order.value
  order.value = null
  void wire({ way: 'order', panels })
}
function setOutput(index: number, change: Partial<Output>): void {
  void wire({ way: 'given', outputs: outputs.value.map((output, at) => (at === index ? { ...output, ...change } : output)) })
}
function setSlice(next: Slice): void {
  const at = chosen.value
  if (at) void wire({ way: 'given', outputs: outputs.value.map((output, index) => (index === at.output ? { ...output, slices: output.slices.map((old, place) => (place === at.slice ? next : old)) } : output)) }).then(() => void (chosen.value ??= at))
}
/** Under a panel's letter: what feeds it, or its turn in the order that is being clicked. */
function words(panel: ResolvedPanel): string[] {
  if (order.value) return order.value.includes(panel.id) ? [t('outputs.wired-as', { number: String(order.value.indexOf(panel.id) + 1) })] : []
  return outputs.value.filter((output) => output.slices.some((one) => one.panel === panel.id)).map((output) => `${output.player} · ${output.number}`)
}
const hz = (event: Event, index: number): void => setOutput(index, { millihertz: Math.round(Number((event.target as HTMLInputElement).value) * 1000) })
</script>

<template>
  <div v-if="surface" class="with-column wide">
    <section class="output-place">
      <div class="place-head"><h1>{{ t('outputs.of', { name: surface.name }) }}</h1><p class="hint">{{ t(order ? 'outputs.click-order' : 'outputs.hint') }}</p><span class="spring" /><RouterLink class="btn btn-sm btn-outline-dark" :to="{ name: 'elevation', params: { surface: code } }">{{ t('outputs.back') }}</RouterLink></div>
      <ShapeDrawing class="wired" :shape="surface" :label="t('outputs.front')" :words="words" :lit="lit" :chosen="order ?? (slice ? [slice.panel] : [])" :pickable="order !== null" @hover="lit = $event" @pick="pick" />
      <div class="rasters">
        <figure v-for="(output, index) in outputs" :key="`${output.player} ${output.number} ${index}`" class="sheet raster-card">
          <figcaption><b>{{ output.player }} · {{ output.number }}</b> <span class="measure">{{ pixels(...output.px) }}, {{ output.millihertz / 1000 }} Hz</span></figcaption>
          <RasterDrawing :output="output" :panels="surface.panels" :lit="lit" :chosen="chosen ? `${outputs[chosen.output]?.player} ${outputs[chosen.output]?.number} ${chosen.slice}` : ''" @hover="lit = $event" @pick="chosen = { output: index, slice: $event }" />
          <a :href="`/play/${output.player}?output=${output.number}&card=1`" target="_blank">{{ t('outputs.card', { player: output.player, number: String(output.number) }) }}</a>
        </figure>
      </div>
    </section>
    <aside class="column" :aria-label="t('outputs.title')">
      <RefusalNote :error="error" />
      <ul class="findings short" :aria-label="t('bench.preflight')"><li v-for="(finding, index) in surface.wiring.findings" :key="index"><FindingMark :severity="finding.severity" /><span>{{ finding.message }} <span class="hint">{{ finding.mend }}</span></span></li></ul>
      <p v-if="!surface.wiring.findings.length" class="hint">{{ t('outputs.clear') }}</p>
      <template v-if="session.mounts()">
        <div class="button-row">
          <button type="button" class="btn btn-sm" :class="order ? 'btn-primary' : 'btn-outline-dark'" @click="order = order ? null : []">{{ t(order ? 'outputs.stop-clicking' : 'outputs.by-clicking') }}</button>
          <button type="button" class="btn btn-sm btn-outline-dark" :disabled="!surface.undo.undo" @click="surfaces.step(code, 'undo')">{{ t('bench.undo') }}</button>
          <button type="button" class="btn btn-sm btn-outline-dark" :disabled="!surface.undo.redo" @click="surfaces.step(code, 'redo')">{{ t('bench.redo') }}</button>
        </div>
        <WiringWays :key="code" :surface="surface" @wire="wire" />
        <template v-if="slice && chosen">
          <h3>{{ t('outputs.chosen', { player: outputs[chosen.output]!.player, number: String(outputs[chosen.output]!.number) }) }}</h3>
          <label>{{ t('outputs.hz') }}<input class="form-control form-control-sm measure" :value="outputs[chosen.output]!.millihertz / 1000" @change="hz($event, chosen.output)" /></label>
          <SliceFields :model-value="slice" :panels="surface.panels" @update:model-value="setSlice" />
        </template>
        <PlayerOutputs :surface="surface" @changed="surfaces.open(code)" />
      </template>
    </aside>
    <FieldConflict v-if="surfaces.conflict" :problem="surfaces.conflict.problem" @choose="surfaces.resolve" />
  </div>
  <div v-else class="empty-place"><RefusalNote :error="error" /><p role="status">{{ t('loading') }}</p></div>
</template>
