<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useSession } from '../session/session'
import { useDesign } from './design'
import LayoutSheets from './LayoutSheets.vue'
import ReleaseSheet from './ReleaseSheet.vue'

const emit = defineEmits<{ layout: [name: string] }>()
const { t } = useI18n()
const design = useDesign()
const session = useSession()
const releasing = ref(false)
const canEdit = computed(() => session.designs())

const words = computed(() => {
  if (design.state === 'away') return t('bench.waiting', { count: design.waiting })
  if (design.state === 'signed-out') return t('bench.signed-out', { count: design.waiting })
  return design.state === 'saving' ? t('bench.saving') : t('bench.saved', { revision: String(design.answer?.revision ?? 0) })
})
const label = (names: string | null | undefined): string => (names ?? '').split(', ').map((name) => t(`command.${name}`)).join(', ')
</script>

<template>
  <div class="bench-bar">
    <h1>{{ design.answer?.name }}</h1>
    <span class="hint bench-surface">{{ design.answer?.surface?.name }}<template v-if="design.answer?.area">, {{ design.answer.area }}</template></span>
    <LayoutSheets @open="emit('layout', $event)" />
    <span class="spring" />
    <span class="save-word" :class="design.state" role="status">{{ words }} <RouterLink v-if="design.state === 'signed-out'" :to="{ name: 'sign-in', query: { to: $route.fullPath } }">{{ t('session.in') }}</RouterLink></span>
    <template v-if="canEdit">
      <button type="button" class="btn btn-sm btn-outline-dark" :disabled="!design.answer?.undo.undo" :title="label(design.answer?.undo.undo)" @click="design.step('undo')">{{ t('bench.undo') }}</button>
      <button type="button" class="btn btn-sm btn-outline-dark" :disabled="!design.answer?.undo.redo" :title="label(design.answer?.undo.redo)" @click="design.step('redo')">{{ t('bench.redo') }}</button>
      <button type="button" class="btn btn-sm btn-primary" @click="releasing = true">{{ t('bench.release') }}</button>
    </template>
    <ReleaseSheet v-if="releasing" @close="releasing = false" />
  </div>
</template>
