<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Fill } from '../../api/types'
import type { ZonePlan } from '../../plan/types'
import FindingLines from '../../ui/FindingLines.vue'
import { firstField, goOn } from '../../ui/focus'
import { listed, pixels, ratioText, seconds } from '../../ui/format'
import MeasureField from '../../ui/MeasureField.vue'
import { useTyped } from '../../ui/useTyped'
import { useDesign } from '../store/design'
import ArrangeFields from './ArrangeFields.vue'
import DivideFields from './DivideFields.vue'
import EmptyHelp from '../fills/EmptyHelp.vue'
import FillEditor from '../fills/FillEditor.vue'
import { partsOf, summary } from '../fills/fillParts'
import FillSelect from '../fills/FillSelect.vue'
import FloatAnchor from './FloatAnchor.vue'
import FloatFields from './FloatFields.vue'
import LayerList from './LayerList.vue'
import OpeningFields from '../fills/OpeningFields.vue'
import PanelSection from './PanelSection.vue'
import GoingFields from '../time/GoingFields.vue'
import { partAlong } from '../store/parts'
import SharedZone from '../scenes/SharedZone.vue'
import SizeField from './SizeField.vue'
import { useFloats } from '../store/useFloats'
import { useMerge } from '../canvas/useMerge'
import WallSpan from '../canvas/WallSpan.vue'

const emit = defineEmits<{ stock: [] }>()
const { t } = useI18n()
const design = useDesign()
const axes = ['x', 'y'] as const
const editable = computed(() => design.mayChange)
const parts = computed(() =>
  design.selected
    ? { x: partAlong(design.bench, design.selected, 'x'), y: partAlong(design.bench, design.selected, 'y') }
    : { x: null, y: null },
)
const own = computed(() => (design.selected ? design.bench.parts[design.selected] : undefined))
const found = computed(() => (design.selected ? (design.findings[design.selected] ?? []) : []))

const { typed: name, enter, leave } = useTyped(() => design.document?.name ?? '')

function size(axis: 'x' | 'y', size: string): void {
  const part = parts.value[axis]
  if (part) void design.send([{ do: 'part.size', ...design.place, part, size }])
}
function lock(axis: 'x' | 'y', locked: boolean): void {
  const part = parts.value[axis]
  if (part) void design.send([{ do: 'part.lock', ...design.place, part, locked }])
}
function rename(): void {
  if (design.selected && name.value !== design.document?.name)
    void design.send([{ do: 'zone.name', zone: design.selected, name: name.value }])
}
const merge = useMerge()
const floats = useFloats()
function gutter(value: number): void {
  if (own.value) void design.send([{ do: 'split.gutter', ...design.place, split: own.value.split, gutter: value }])
}
function kind(wanted: Fill['kind']): void {
  const zone = design.selected
  if (zone) void goOn(() => design.beginFill(zone, wanted), firstField('[data-fill]'))
}
/** What each section holds, in a line. */
const says = computed(() => {
  const [zone, document] = [design.zone, design.document]
  if (!zone || !document) return { place: '', fill: '', look: '', time: '' }
  return { place: placeOf(zone), ...summary(document.fill, zone.items[0], t), time: timeOf() }
})
const placeOf = ({ rect, ratio, float }: ZonePlan): string =>
  float
    ? `${pixels(rect[2], rect[3])} · ${t('section.at', { x: String(rect[0]), y: String(rect[1]) })}`
    : `${pixels(rect[2], rect[3])} · ${ratioText(ratio)}`
function timeOf(): string {
  const zone = design.zone
  const cycle = zone?.cycle_ms ? t('section.cycle', { length: seconds(zone.cycle_ms) }) : t('rail.steady')
  const leader = zone?.follows && design.zones[zone.follows.zone]
  if (leader) return listed(cycle, t('going.step', { letter: leader.letter }))
  return design.document?.runs_on ? `${cycle} · ${t('section.runs-on')}` : cycle
}
/** What begins at a time of its own, or was set to. */
const moves = computed(() => {
  const document = design.document
  return !!document && (['playlist', 'video'].includes(document.fill.kind) || !!document.follows || document.runs_on === true)
})
const shownParts = computed(() => partsOf(design.document?.fill.kind ?? 'empty'))
const setFill = (fill: Fill, target: string): void =>
  void (design.selected && design.setFill(design.selected, fill, `${design.selected}:${target}`))
</script>

<template>
  <p v-if="!design.zone || !design.document" class="hint">{{ t('bench.pick') }}</p>
  <fieldset v-else :key="design.zone.id" :disabled="!editable">
    <h2>
      <span class="letter">{{ design.zone.letter }}</span>
      {{ design.document.name || t(`fill.${design.document.fill.kind}`) }}
    </h2>
    <FindingLines :findings="found" />
    <PanelSection name="place" :title="t('section.place')" :says="says.place">
      <SharedZone :zone="design.zone.id" :document="design.document" :editable="editable" />
      <FloatFields v-if="design.zone.float" :zone="design.zone.id" />
      <div v-else class="field-row">
        <SizeField
          v-for="axis in axes"
          :key="axis"
          :label="t(axis === 'x' ? 'bench.width' : 'bench.height')"
          :part="parts[axis] ? (design.bench.parts[parts[axis]!] ?? null) : null"
          :px="design.zone.rect[axis === 'x' ? 2 : 3]"
          :refusal="design.refusal"
          @set="size(axis, $event)"
          @lock="lock(axis, $event)" />
        <MeasureField
          v-if="own"
          :label="t('bench.gutter')"
          unit="px"
          path="/gutter"
          :value="own.gutter"
          :refusal="design.refusal"
          @set="gutter" />
      </div>
      <WallSpan v-if="!design.zone.float && Object.keys(design.answer?.panels ?? {}).length > 1" :zone="design.zone" />
      <PanelSection name="place-more" :title="t(design.zone.float ? 'section.float-more' : 'section.pane-more')" says="">
        <label>
          {{ t('bench.name') }}
          <BFormInput size="sm" v-model="name" maxlength="80" @focus="enter" @blur="leave" @change="rename" />
        </label>
        <FloatAnchor v-if="design.zone.float" :zone="design.zone.id" />
        <ArrangeFields v-if="design.zone.float && editable" />
        <div v-if="own?.neighbours.length" class="merge-row">
          <span>{{ t('bench.merge-into') }}</span>
          <button
            v-for="neighbour in own.neighbours"
            :key="neighbour.part"
            type="button"
            class="btn btn-sm btn-outline-dark"
            @click="design.selected && merge(design.selected, neighbour.part)">
            {{ t('bench.merge', { side: t(`bench.${neighbour.side}`), letters: neighbour.letters.join(', ') }) }}
          </button>
        </div>
        <DivideFields v-if="!design.zone.float && editable && !design.answer?.list" :zone="design.zone.id" />
        <div v-if="design.zone.float && editable" class="button-row">
          <button type="button" class="btn btn-sm btn-outline-dark" @click="floats.duplicate(design.chosen)">
            {{ t('float.duplicate') }}
          </button>
          <button type="button" class="btn btn-sm btn-outline-dark" @click="floats.remove(design.chosen)">{{ t('float.remove') }}</button>
        </div>
      </PanelSection>
    </PanelSection>
    <PanelSection name="fill" first :title="t('section.fill')" :says="says.fill">
      <EmptyHelp v-if="editable && design.document.fill.kind === 'empty'" :zone="design.zone.id" @fill="kind" @stock="emit('stock')" />
      <FillSelect v-if="!design.answer?.list" :zone="design.zone.id" :fill="design.document.fill" />
      <OpeningFields v-if="editable" :zone="design.zone" />
      <div data-fill>
        <FillEditor part="fill" :fill="design.document.fill" :items="design.zone.items" @change="setFill" />
      </div>
    </PanelSection>
    <PanelSection v-if="shownParts.look" name="look" :title="t('section.look')" :says="says.look">
      <FillEditor part="look" :fill="design.document.fill" :items="design.zone.items" @change="setFill" />
    </PanelSection>
    <PanelSection name="time" :title="t('section.time')" :says="says.time">
      <GoingFields v-if="moves" :zone="design.zone.id" />
      <FillEditor v-if="shownParts.time" part="time" :fill="design.document.fill" :items="design.zone.items" @change="setFill" />
      <p v-if="!moves && !shownParts.time" class="hint">{{ t('section.no-time') }}</p>
    </PanelSection>
  </fieldset>
  <LayerList />
</template>
