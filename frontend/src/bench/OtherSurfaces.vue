<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { call } from '../api/client'
import type { Elevation, SurfaceLine } from '../api/surfaces'
import { useSession } from '../session/session'
import { useDesign } from './design'
import PanelPreview from './PanelPreview.vue'

/** Which other surfaces stand beside the bench, singly or by group; and each panel of the own one alone. */
const props = defineProps<{ codes: string[]; tMs: number }>()
const emit = defineEmits<{ toggle: [codes: string[], on: boolean] }>()
const { t } = useI18n()
const design = useDesign()
const session = useSession()
const surfaces = ref<SurfaceLine[]>([])
const groups = computed(() => [...new Set(surfaces.value.flatMap((one) => one.groups))].sort())
const of = (group: string): string[] => surfaces.value.filter((one) => one.groups.includes(group)).map((one) => one.code)
const all = (codes: string[]): boolean => codes.every((code) => props.codes.includes(code))
const scale = (event: Event): void => void design.send([{ do: 'design.reflow', by: (event.target as HTMLSelectElement).value }])
const checked = (event: Event): boolean => (event.target as HTMLInputElement).checked

onMounted(async () => {
  surfaces.value = (await call<Elevation>('GET', `/api/sites/${design.answer?.surface?.site ?? session.slug}/elevation`).catch(() => ({ surfaces: [] }))).surfaces.filter((one) => one.code !== design.answer?.surface?.code)
})
</script>

<template>
  <PanelPreview v-if="Object.keys(design.answer?.panels ?? {}).length > 1" :t-ms="tMs" />
  <h3>{{ t('beside.title') }}</h3>
  <p class="hint">{{ t('other.hint') }}</p>
  <label>{{ t('other.scale') }}<select class="form-select form-select-sm" :value="design.answer?.reflow" :disabled="!session.may('design')" @change="scale"><option v-for="by in ['short_side', 'same_mm', 'same_px']" :key="by" :value="by">{{ t(`other.${by}`) }}</option></select></label>
  <fieldset class="beside-choice">
    <legend class="visually-hidden">{{ t('beside.title') }}</legend>
    <label v-for="one in surfaces" :key="one.code" class="check"><input type="checkbox" :checked="codes.includes(one.code)" @change="emit('toggle', [one.code], checked($event))" /> {{ one.name }} <span class="measure hint">{{ one.canvas[0] }} × {{ one.canvas[1] }}</span></label>
  </fieldset>
  <fieldset v-if="groups.length">
    <legend class="group-label">{{ t('field.groups') }}</legend>
    <label v-for="group in groups" :key="group" class="check"><input type="checkbox" :checked="all(of(group))" @change="emit('toggle', of(group), checked($event))" /> {{ t('beside.group', { group, count: of(group).length }) }}</label>
  </fieldset>
</template>
