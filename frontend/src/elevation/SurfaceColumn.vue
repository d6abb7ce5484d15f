<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { SurfaceWhole } from '../api/types'
import { useSession } from '../session/session'
import AreaFields from '../surface/AreaFields.vue'
import ChangeList from '../surface/ChangeList.vue'
import SheetFieldsForm from '../surface/SheetFieldsForm.vue'
import ShapeChange from '../surface/ShapeChange.vue'
import { useSurfaces } from '../surface/surfaces'
import SurfaceParticulars from './SurfaceParticulars.vue'

/** The chosen surface: what it is, what can be set, its panels, its named areas, who changed what. */
const props = defineProps<{ surface: SurfaceWhole; zone: string }>()
const emit = defineEmits<{ leave: [] }>()
const { t } = useI18n()
const session = useSession()
const surfaces = useSurfaces()
const tabs = ['particulars', 'sheet', 'panels', 'areas', 'changes'] as const
const tab = ref<(typeof tabs)[number]>('particulars')
const step = (kind: 'undo' | 'redo'): void => void surfaces.step(props.surface.code, kind)
const fields = (names: string[] | null): string => (names ?? []).map((name) => t(`field.${name}`)).join(', ')
</script>

<template>
  <div class="column-head"><h2>{{ surface.name }}</h2><button type="button" class="plain" @click="emit('leave')">{{ t('elevation.all') }}</button></div>
  <div v-if="session.mounts()" class="button-row">
    <button type="button" class="btn btn-sm btn-outline-dark" :disabled="!surface.undo.undo" :title="fields(surface.undo.undo)" @click="step('undo')">{{ t('bench.undo') }}</button>
    <button type="button" class="btn btn-sm btn-outline-dark" :disabled="!surface.undo.redo" :title="fields(surface.undo.redo)" @click="step('redo')">{{ t('bench.redo') }}</button>
    <RouterLink class="btn btn-sm btn-outline-dark" :to="{ name: 'outputs', params: { surface: surface.code } }">{{ t('outputs.title') }}</RouterLink>
  </div>
  <div class="tabs" role="tablist" :aria-label="t('bench.particulars')">
    <button v-for="one in tabs" :id="`surface-${one}`" :key="one" type="button" role="tab" :aria-selected="tab === one" aria-controls="surface-panel" :tabindex="tab === one ? 0 : -1" @click="tab = one"
      @keydown.right="tab = tabs[(tabs.indexOf(one) + 1) % tabs.length]!" @keydown.left="tab = tabs[(tabs.indexOf(one) + tabs.length - 1) % tabs.length]!">{{ t(`surface.tab-${one}`) }}</button>
  </div>
  <div id="surface-panel" role="tabpanel" :aria-labelledby="`surface-${tab}`" tabindex="0">
    <SurfaceParticulars v-if="tab === 'particulars'" :surface="surface" :zone="zone" @gone="emit('leave')" />
    <SheetFieldsForm v-else-if="tab === 'sheet'" :surface="surface" />
    <ShapeChange v-else-if="tab === 'panels'" :surface="surface" />
    <AreaFields v-else-if="tab === 'areas'" :surface="surface" />
    <ChangeList v-else :surface="surface" :zone="zone" />
  </div>
</template>
