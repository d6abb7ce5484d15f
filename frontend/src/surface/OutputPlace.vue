<script setup lang="ts">
import { storeToRefs } from 'pinia'
import { computed, onMounted, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import UndoButtons from '../document/UndoButtons.vue'
import { useRoute } from 'vue-router'
import { call } from '../api/client'
import type { Output, ResolvedPanel, Slice, Wiring } from '../api/surfaces'
import FindingLines from '../ui/FindingLines.vue'
import { pixels } from '../ui/format'
import RefusalNote from '../ui/RefusalNote.vue'
import ThingColumn from '../ui/ThingColumn.vue'
import ConflictChoice from '../document/ConflictChoice.vue'
import { useListening } from '../document/useListening'
import { useUndoKeys } from '../ui/useUndoKeys'
import OutputFields from './OutputFields.vue'
import PlayerOutputs from './PlayerOutputs.vue'
import RasterDrawing from './RasterDrawing.vue'
import { provideRefusal } from './refusal'
import ShapeDrawing from './ShapeDrawing.vue'
import SliceFields from './SliceFields.vue'
import { useSurfaces } from './surfaces'
import WiringWays from './WiringWays.vue'

const { t } = useI18n()
const route = useRoute()
const surfaces = useSurfaces()
const { error } = storeToRefs(surfaces)
useListening(surfaces.listen)
useUndoKeys((kind) => void surfaces.step(kind))
const unclaimed = provideRefusal(error)
const code = computed(() => String(route.params['surface']))
const surface = computed(() => (surfaces.whole?.code === code.value ? surfaces.whole : null))
const outputs = computed(() => surface.value?.wiring.outputs ?? [])
const lit = ref<string | null>(null)
const chosen = ref<{ output: number; slice: number | null } | null>(null)
/** The panels clicked so far, in the order they are wired; null while nobody is wiring. */
const order = ref<string[] | null>(null)
const output = computed(() => (chosen.value ? (outputs.value[chosen.value.output] ?? null) : null))
const slice = computed(() => output.value?.slices[chosen.value?.slice ?? -1] ?? null)

watch(code, (wanted) => void surfaces.open(wanted), { immediate: true })
onMounted(() => void (surfaces.elevation || surfaces.load()))

async function wire(body: Record<string, unknown>): Promise<void> {
  error.value = null
  try {
    const made = await call<Wiring>('POST', `/api/surfaces/${code.value}/wire`, body)
    await surfaces.wire(code.value, made.outputs)
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
const given = (all: Output[]): Promise<void> => wire({ way: 'given', outputs: all })
const setOutput = (next: Output): Promise<void> => given(outputs.value.map((one) => (one === output.value ? next : one)))
function removeOutput(): void {
  const rest = outputs.value.filter((one) => one !== output.value)
  chosen.value = null
  void given(rest)
}
function setSlice(next: Slice | null): void {
  const old = slice.value
  if (!output.value || !old) return
  if (next === null && chosen.value) chosen.value = { ...chosen.value, slice: null }
  void setOutput({ ...output.value, slices: output.value.slices.flatMap((one) => (one === old ? (next ? [next] : []) : [one])) })
}
/** The core said which output comes next. */
function addOutput(): void {
  const next = surface.value?.wiring.next
  if (!next) return
  chosen.value = { output: outputs.value.length, slice: null }
  void given([...outputs.value, next])
}
/** Under a panel's letter: what feeds it, or its turn in the order that is being clicked. */
function words(panel: ResolvedPanel): string[] {
  if (order.value)
    return order.value.includes(panel.id) ? [t('outputs.wired-as', { number: String(order.value.indexOf(panel.id) + 1) })] : []
  return outputs.value
    .filter((output) => output.slices.some((one) => one.panel === panel.id))
    .map((output) => `${output.player} · ${output.number}`)
}
</script>

<template>
  <div v-if="surface" class="with-column wide">
    <section class="output-place">
      <div class="place-head">
        <h1>{{ t('outputs.of', { name: surface.name }) }}</h1>
        <p class="hint">{{ t(order ? 'outputs.click-order' : 'outputs.hint') }}</p>
        <span class="spring" />
        <RouterLink class="btn btn-sm btn-outline-dark" :to="{ name: 'elevation', params: { surface: code } }">
          {{ t('outputs.back') }}
        </RouterLink>
      </div>
      <ShapeDrawing
        class="wired"
        :shape="surface"
        :label="t('outputs.front')"
        :words="words"
        :lit="lit"
        :chosen="order ?? (slice ? [slice.panel] : [])"
        :pickable="order !== null"
        @hover="lit = $event"
        @pick="pick" />
      <div class="rasters">
        <figure
          v-for="(one, index) in outputs"
          :key="`${one.player} ${one.number} ${index}`"
          class="sheet raster-card"
          :class="{ current: chosen?.output === index }">
          <figcaption>
            <button type="button" class="plain" :aria-pressed="chosen?.output === index" @click="chosen = { output: index, slice: null }">
              {{ one.player }} · {{ one.number }}
            </button>
            <span class="measure">{{ pixels(...one.px) }}, {{ one.millihertz / 1000 }} Hz</span>
          </figcaption>
          <RasterDrawing
            :output="one"
            :panels="surface.panels"
            :lit="lit"
            :chosen="chosen?.output === index ? chosen.slice : null"
            @hover="lit = $event"
            @pick="chosen = { output: index, slice: $event }" />
          <a :href="`/play/${one.player}?output=${one.number}&card=1`" target="_blank">
            {{ t('outputs.card', { player: one.player, number: String(one.number) }) }}
          </a>
        </figure>
      </div>
    </section>
    <ThingColumn :label="t('outputs.title')">
      <RefusalNote :error="unclaimed" />
      <FindingLines :findings="surface.wiring.findings" :label="t('bench.preflight')" />
      <p v-if="!surface.wiring.findings.length" class="hint">{{ t('outputs.clear') }}</p>
      <template v-if="surfaces.mayMount">
        <div class="button-row">
          <button type="button" class="btn btn-sm" :class="order ? 'btn-primary' : 'btn-outline-dark'" @click="order = order ? null : []">
            {{ t(order ? 'outputs.stop-clicking' : 'outputs.by-clicking') }}
          </button>
          <UndoButtons :undo="surfaces.undo" @step="surfaces.step" />
        </div>
        <WiringWays :key="code" :surface="surface" @wire="wire" @add="addOutput" />
        <template v-if="output && chosen">
          <h3>{{ t('outputs.output-of', { player: output.player, number: String(output.number) }) }}</h3>
          <OutputFields
            :model-value="output"
            :surface="surface"
            :index="chosen.output"
            @update:model-value="setOutput"
            @remove="removeOutput" />
          <p v-if="!slice" class="hint">{{ t('outputs.pick-slice') }}</p>
          <template v-else>
            <h3>{{ t('outputs.chosen', { letter: surface.panels.find((panel) => panel.id === slice?.panel)?.letter ?? '?' }) }}</h3>
            <SliceFields
              :model-value="slice"
              :panels="surface.panels"
              :path="`/outputs/${chosen.output}/slices/${chosen.slice}`"
              @update:model-value="setSlice" />
            <button type="button" class="plain" @click="setSlice(null)">{{ t('outputs.remove-slice') }}</button>
          </template>
        </template>
        <PlayerOutputs :surface="surface" />
      </template>
    </ThingColumn>
    <ConflictChoice v-if="surfaces.conflict" :problem="surfaces.conflict" @choose="surfaces.resolve" />
  </div>
  <div v-else class="empty-place">
    <RefusalNote :error="error" />
    <p role="status">{{ t('loading') }}</p>
  </div>
</template>
