<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { PanelShape, Resolved, Shape } from '../api/surfaces'
import type { Finding } from '../api/types'
import NumberField from './NumberField.vue'
import TurnSelect from './TurnSelect.vue'

/** A free arrangement by numbers: every panel with its place, turn and size; overlaps can be declared a blend. */
const shape = defineModel<Shape>({ required: true })
const props = defineProps<{ resolved: Resolved | null; chosen: string | null }>()
const emit = defineEmits<{ choose: [id: string] }>()
const { t } = useI18n()
/** Every panel with the id and the place that the core would give it. */
const panels = computed(() =>
  (shape.value.panels ?? []).map((panel, index) => ({
    ...panel,
    id: panel.id ?? String(index + 1),
    position_mm: panel.position_mm ?? ([0, 0] as [number, number]),
  })),
)
/** On the drawing panels go by the letters of their numbers, which follow their places; in the list they stay as they were entered. */
const letter = (id: string): string => props.resolved?.panels.find((panel) => panel.id === id)?.letter ?? id
const overlaps = computed(() => (props.resolved?.findings ?? []).filter((finding) => finding.code === 'wall.panels_overlap'))

const put = (all: PanelShape[]): void => void (shape.value = { ...shape.value, panels: all })
const set = (index: number, change: Partial<PanelShape>): void =>
  put(panels.value.map((panel, at) => (at === index ? { ...panel, ...change } : panel)))
function pair(index: number, key: 'native' | 'active_mm' | 'position_mm', axis: 0 | 1, value: number | null): void {
  const both = [...(panels.value[index]?.[key] ?? [0, 0])] as [number, number]
  both[axis] = value ?? 0
  set(index, { [key]: both })
}
function add(): void {
  const last = panels.value[panels.value.length - 1]
  if (!last) return
  const known = new Set(panels.value.map((panel) => panel.id))
  let number = panels.value.length + 1
  while (known.has(String(number))) number++
  const right = Math.max(...panels.value.map((panel) => panel.position_mm[0] + Math.max(...panel.active_mm)))
  put([...panels.value, { ...last, id: String(number), position_mm: [right + 50, last.position_mm[1]] }])
}
const blend = (finding: Finding): void =>
  void (shape.value = { ...shape.value, blends: [...(shape.value.blends ?? []), [finding.params['a'] ?? '', finding.params['b'] ?? '']] })
</script>

<template>
  <div class="panel-list">
    <p v-for="finding in overlaps" :key="`${finding.params['a']} ${finding.params['b']}`">
      <button type="button" class="btn btn-sm btn-outline-dark" @click="blend(finding)">
        {{ t('shape.blend', { a: letter(finding.params['a'] ?? ''), b: letter(finding.params['b'] ?? '') }) }}
      </button>
    </p>
    <details v-for="(panel, index) in panels" :key="panel.id" :open="panel.id === chosen" class="panel-entry">
      <summary @click="emit('choose', panel.id)">
        <b class="letter">{{ letter(panel.id) }}</b>
        {{ panel.id }}
        <span class="measure">{{ panel.native.join(' × ') }} px · {{ panel.position_mm.join(', ') }} mm</span>
      </summary>
      <div class="field-row">
        <NumberField
          :model-value="panel.position_mm[0]"
          :label="t('shape.x')"
          unit="mm"
          :path="`/panels/${index}/position_mm/0`"
          @update:model-value="pair(index, 'position_mm', 0, $event)" />
        <NumberField
          :model-value="panel.position_mm[1]"
          :label="t('shape.y')"
          unit="mm"
          :path="`/panels/${index}/position_mm/1`"
          @update:model-value="pair(index, 'position_mm', 1, $event)" />
        <TurnSelect
          :model-value="panel.rotation ?? 0"
          :label="t('shape.panel-turn')"
          @update:model-value="set(index, { rotation: $event })" />
      </div>
      <div class="field-row">
        <NumberField
          :model-value="panel.native[0]"
          :label="t('shape.px-width')"
          unit="px"
          :path="`/panels/${index}/native/0`"
          @update:model-value="pair(index, 'native', 0, $event)" />
        <NumberField
          :model-value="panel.native[1]"
          :label="t('shape.px-height')"
          unit="px"
          :path="`/panels/${index}/native/1`"
          @update:model-value="pair(index, 'native', 1, $event)" />
      </div>
      <div class="field-row">
        <NumberField
          :model-value="panel.active_mm[0]"
          :label="t('shape.mm-width')"
          unit="mm"
          :path="`/panels/${index}/active_mm/0`"
          @update:model-value="pair(index, 'active_mm', 0, $event)" />
        <NumberField
          :model-value="panel.active_mm[1]"
          :label="t('shape.mm-height')"
          unit="mm"
          :path="`/panels/${index}/active_mm/1`"
          @update:model-value="pair(index, 'active_mm', 1, $event)" />
      </div>
      <button type="button" class="plain" :disabled="panels.length === 1" @click="put(panels.filter((_, at) => at !== index))">
        {{ t('shape.remove', { id: letter(panel.id) }) }}
      </button>
    </details>
    <button type="button" class="btn btn-sm btn-outline-dark" @click="add">{{ t('shape.add') }}</button>
  </div>
</template>
