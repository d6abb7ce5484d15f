<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import UndoButtons from '../document/UndoButtons.vue'
import type { SurfaceWhole } from '../api/surfaces'
import AreaFields from '../surface/AreaFields.vue'
import HistoryList from '../document/HistoryList.vue'
import SheetFieldsForm from '../surface/SheetFieldsForm.vue'
import ShapeChange from '../surface/ShapeChange.vue'
import { useSurfaces } from '../surface/surfaces'
import PlaceTabs from '../ui/PlaceTabs.vue'
import SurfaceParticulars from './SurfaceParticulars.vue'

/** The chosen surface: what it is, what can be set, its panels, its named areas, who changed what. */
defineProps<{ surface: SurfaceWhole; zone: string }>()
const emit = defineEmits<{ leave: [] }>()
const { t } = useI18n()
const surfaces = useSurfaces()
const tabs = ['particulars', 'sheet', 'panels', 'areas', 'changes'] as const
const tab = ref<string>('particulars')
</script>

<template>
  <div class="column-head">
    <h2>{{ surface.name }}</h2>
    <button type="button" class="plain" @click="emit('leave')">{{ t('elevation.all') }}</button>
  </div>
  <div v-if="surfaces.mayMount" class="button-row">
    <UndoButtons :undo="surfaces.undo" @step="surfaces.step" />
    <RouterLink class="btn btn-sm btn-outline-dark" :to="{ name: 'outputs', params: { surface: surface.code } }">
      {{ t('outputs.title') }}
    </RouterLink>
  </div>
  <PlaceTabs v-model="tab" :tabs="tabs" :label="t('bench.particulars')" :words="(one) => t(`surface.tab-${one}`)" panel="surface-panel" />
  <div id="surface-panel" role="tabpanel" :aria-labelledby="`surface-panel-${tab}`" tabindex="0">
    <SurfaceParticulars v-if="tab === 'particulars'" :surface="surface" :zone="zone" @gone="emit('leave')" />
    <HistoryList v-else-if="tab === 'changes'" :document="surface.document" :revision="surface.revision" :zone="zone" />
    <!-- What was begun in one of these stays while another is looked at. -->
    <KeepAlive>
      <SheetFieldsForm v-if="tab === 'sheet'" :key="`sheet ${surface.code}`" :surface="surface" />
      <ShapeChange v-else-if="tab === 'panels'" :key="`panels ${surface.code}`" :surface="surface" />
      <AreaFields v-else-if="tab === 'areas'" :key="`areas ${surface.code}`" :surface="surface" />
    </KeepAlive>
  </div>
</template>
