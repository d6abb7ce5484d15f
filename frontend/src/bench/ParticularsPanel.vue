<script setup lang="ts">
import { BFormInput, BFormSelect } from 'bootstrap-vue-next'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Fill } from '../api/types'
import { useSession } from '../session/session'
import FindingLines from '../ui/FindingLines.vue'
import { pixels, ratioText } from '../ui/format'
import MeasureField from '../ui/MeasureField.vue'
import { useDesign } from './design'
import ArrangeFields from './ArrangeFields.vue'
import DivideFields from './DivideFields.vue'
import EmptyHelp from './EmptyHelp.vue'
import FillEditor from './FillEditor.vue'
import FloatFields from './FloatFields.vue'
import LayerList from './LayerList.vue'
import OpeningFields from './OpeningFields.vue'
import { partAlong } from './parts'
import SharedZone from './SharedZone.vue'
import SizeField from './SizeField.vue'
import { useFloats } from './useFloats'
import { useMerge } from './useMerge'
import WallSpan from './WallSpan.vue'

const emit = defineEmits<{ stock: [] }>()
const { t } = useI18n()
const design = useDesign()
const session = useSession()
const name = ref('')
const axes = ['x', 'y'] as const
const kinds = [
  'empty',
  'colour',
  'picture',
  'video',
  'text',
  'clock',
  'dial',
  'progress',
  'count',
  'qr',
  'shape',
  'chart',
  'web',
  'live',
  'playlist',
] as const
const editable = computed(() => session.may('design'))
const parts = computed(() =>
  design.selected
    ? { x: partAlong(design.bench, design.selected, 'x'), y: partAlong(design.bench, design.selected, 'y') }
    : { x: null, y: null },
)
const own = computed(() => (design.selected ? design.bench.parts[design.selected] : undefined))
const found = computed(() => (design.selected ? (design.findings[design.selected] ?? []) : []))

function reset(): void {
  name.value = design.document?.name ?? ''
}
watch([() => design.zone, () => design.document], reset, { immediate: true })

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
  if (design.selected) void design.beginFill(design.selected, wanted)
}
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
    <p class="measure">{{ pixels(design.zone.rect[2], design.zone.rect[3]) }} · {{ ratioText(design.zone.ratio) }}</p>
    <FindingLines :findings="found" />
    <SharedZone :zone="design.zone.id" :document="design.document" :editable="editable" />
    <EmptyHelp v-if="editable && design.document.fill.kind === 'empty'" :zone="design.zone.id" @fill="kind" @stock="emit('stock')" />
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
    <ArrangeFields v-if="design.zone.float && editable" />
    <WallSpan v-if="!design.zone.float && Object.keys(design.answer?.panels ?? {}).length > 1" :zone="design.zone" />
    <label>
      {{ t('bench.name') }}
      <BFormInput size="sm" v-model="name" maxlength="80" @change="rename" />
    </label>
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
    <label>
      {{ t('bench.fill') }}
      <BFormSelect
        size="sm"
        :model-value="design.document.fill.kind"
        @change="kind(($event.target as HTMLSelectElement).value as Fill['kind'])">
        <option v-for="one in kinds" :key="one" :value="one" :disabled="one === 'picture' || one === 'video'">
          {{ t(`fill.${one}`) }}
        </option>
      </BFormSelect>
    </label>
    <OpeningFields v-if="editable" :zone="design.zone" />
    <FillEditor :fill="design.document.fill" :items="design.zone.items" @change="setFill" />
    <DivideFields v-if="!design.zone.float && editable" :zone="design.zone.id" />
    <div v-if="design.zone.float && editable" class="button-row">
      <button type="button" class="btn btn-sm btn-outline-dark" @click="floats.duplicate(design.chosen)">{{ t('float.duplicate') }}</button>
      <button type="button" class="btn btn-sm btn-outline-dark" @click="floats.remove(design.chosen)">{{ t('float.remove') }}</button>
    </div>
  </fieldset>
  <LayerList />
</template>
