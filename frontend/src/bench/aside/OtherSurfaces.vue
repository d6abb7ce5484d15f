<script setup lang="ts">
import { BFormCheckbox, BFormSelect } from 'bootstrap-vue-next'
import { computed, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { elevationOf } from '../../api/sites'
import type { Group, SurfaceLine } from '../../api/surfaces'
import { useSession } from '../../session/session'
import { useDesign } from '../store/design'
import PanelPreview from './PanelPreview.vue'
import StyleChoice from './StyleChoice.vue'

/** Which other surfaces stand beside the bench, singly or by group; and each panel of the own one alone. */
const props = defineProps<{ codes: string[]; styled: string[]; tMs: number }>()
const emit = defineEmits<{ toggle: [codes: string[], on: boolean]; style: [id: string, on: boolean] }>()
const { t } = useI18n()
const design = useDesign()
const session = useSession()
const surfaces = ref<SurfaceLine[]>([])
const groups = ref<Group[]>([])
const inUse = computed(() => groups.value.filter((one) => of(one.id).length))
const of = (group: string): string[] => surfaces.value.filter((one) => one.groups.includes(group)).map((one) => one.code)
const all = (codes: string[]): boolean => codes.every((code) => props.codes.includes(code))
const meant = (code: string): boolean => design.answer?.surfaces.includes(code) ?? false
function mean(code: string): void {
  const now = design.answer?.surfaces ?? []
  void design.send([{ do: 'design.surfaces', surfaces: meant(code) ? now.filter((one) => one !== code) : [...now, code] }])
}
const scale = (event: Event): void => void design.send([{ do: 'design.reflow', by: (event.target as HTMLSelectElement).value }])

onMounted(async () => {
  const site = design.answer?.surface?.site ?? session.slug
  const found = await elevationOf(site).catch(() => null)
  groups.value = found?.book?.groups ?? []
  surfaces.value = (found?.surfaces ?? []).filter((one) => one.code !== design.answer?.surface?.code || meant(one.code))
})
</script>

<template>
  <PanelPreview v-if="Object.keys(design.answer?.panels ?? {}).length > 1" :t-ms="tMs" />
  <StyleChoice :codes="styled" @toggle="(id, on) => emit('style', id, on)" />
  <h3>{{ t('beside.title') }}</h3>
  <p class="hint">{{ t('other.hint') }}</p>
  <label>
    {{ t('other.scale') }}
    <BFormSelect size="sm" :model-value="design.answer?.reflow" :disabled="!design.mayChange" @change="scale">
      <option v-for="by in ['short_side', 'same_mm', 'same_px']" :key="by" :value="by">{{ t(`other.${by}`) }}</option>
    </BFormSelect>
  </label>
  <fieldset class="beside-choice">
    <legend class="visually-hidden">{{ t('beside.title') }}</legend>
    <p class="beside-line hint" aria-hidden="true">
      {{ t('beside.shown') }}
      <span>{{ t('designs.for') }}</span>
    </p>
    <div v-for="one in surfaces" :key="one.code" class="beside-line">
      <BFormCheckbox :model-value="codes.includes(one.code)" @update:model-value="(on) => emit('toggle', [one.code], on === true)">
        {{ one.name }}
        <span class="measure hint">{{ one.canvas[0] }} × {{ one.canvas[1] }}</span>
      </BFormCheckbox>
      <BFormCheckbox
        :model-value="meant(one.code)"
        :disabled="!design.mayChange"
        :aria-label="t('designs.meant-for-one', { name: one.name })"
        @update:model-value="mean(one.code)" />
    </div>
  </fieldset>
  <fieldset v-if="inUse.length">
    <legend class="group-label">{{ t('field.groups') }}</legend>
    <BFormCheckbox
      v-for="group in inUse"
      :key="group.id"
      :model-value="all(of(group.id))"
      @update:model-value="(on) => emit('toggle', of(group.id), on === true)">
      {{ t('beside.group', { group: group.name, count: of(group.id).length }) }}
    </BFormCheckbox>
  </fieldset>
</template>
