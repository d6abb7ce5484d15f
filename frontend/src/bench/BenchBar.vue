<script setup lang="ts">
import { vBTooltip } from 'bootstrap-vue-next'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import UndoButtons from '../document/UndoButtons.vue'
import { useSession } from '../session/session'
import { listed } from '../ui/format'
import type { Aside } from './column'
import { useDesign } from './design'
import DesignName from './DesignName.vue'
import SceneFrieze from './SceneFrieze.vue'
import ReleaseSheet from './ReleaseSheet.vue'

const emit = defineEmits<{ open: [scene: string, layout: 'own' | 'turned']; aside: [aside: Aside] }>()
const { t } = useI18n()
const design = useDesign()
const session = useSession()
const releasing = ref(false)
const tools = ['empty', 'text'] as const
const canEdit = computed(() => session.may('design', site.value))

const words = computed(() => {
  if (design.typing) return t('bench.typing')
  if (design.state === 'away') return t('bench.waiting', { count: design.waiting })
  if (design.state === 'signed-out') return t('bench.signed-out', { count: design.waiting })
  return design.state === 'saving' ? t('bench.saving') : t('bench.saved')
})
const site = computed(() => design.answer?.surface?.site)
</script>

<template>
  <div class="bench-bar">
    <DesignName :editable="canEdit" />
    <button v-b-tooltip="t('bench.other-hint')" type="button" class="plain bench-surface" @click="emit('aside', 'other')">
      {{ listed(design.answer?.surface?.name, design.answer?.area) }}
    </button>
    <span class="spring" />
    <span class="save-word" :class="design.state" role="status">
      {{ words }}
      <button
        v-if="design.state === 'saved' && !design.typing"
        v-b-tooltip="t('bench.history')"
        type="button"
        class="plain"
        @click="emit('aside', 'history')">
        {{ t('elevation.revision', { revision: String(design.revision) }) }}
      </button>
      <RouterLink v-if="design.state === 'signed-out'" :to="{ name: 'sign-in', query: { to: $route.fullPath } }">
        {{ t('session.in') }}
      </RouterLink>
    </span>
    <template v-if="canEdit">
      <button
        v-for="tool in tools"
        :key="tool"
        v-b-tooltip="t(`float.draw-${tool}`)"
        type="button"
        class="btn btn-sm btn-outline-dark"
        :aria-pressed="design.tool === tool"
        @click="design.tool = design.tool === tool ? null : tool">
        {{ t(`float.tool-${tool}`) }}
        <kbd>{{ tool === 'text' ? 'T' : 'F' }}</kbd>
      </button>
      <UndoButtons :undo="design.undo" @step="design.step" />
      <button type="button" class="btn btn-sm btn-primary" @click="releasing = true">{{ t('bench.release') }}</button>
    </template>
    <ReleaseSheet v-if="releasing" @close="releasing = false" />
  </div>
  <SceneFrieze @open="(scene, layout) => emit('open', scene, layout)" />
</template>
