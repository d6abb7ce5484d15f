<script setup lang="ts">
import { vBTooltip } from 'bootstrap-vue-next'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import UndoButtons from '../document/UndoButtons.vue'
import { listed } from '../ui/format'
import { usesOfDocument } from '../api/uses'
import WhereUsed from '../ui/WhereUsed.vue'
import type { Aside } from './aside/column'
import { useDesign } from './store/design'
import DesignName from './DesignName.vue'
import SceneFrieze from './scenes/SceneFrieze.vue'
import ReleaseSheet from './aside/ReleaseSheet.vue'

defineProps<{ plays?: string | undefined }>()
const emit = defineEmits<{ open: [scene: string, layout: 'own' | 'turned']; aside: [aside: Aside] }>()
const { t } = useI18n()
const design = useDesign()
const releasing = ref(false)
const tools = ['empty', 'text'] as const
const canEdit = computed(() => design.mayChange)

const words = computed(() => {
  if (design.typing) return t('bench.typing')
  if (design.state === 'away') return t('bench.waiting', { count: design.waiting })
  if (design.state === 'signed-out') return t('bench.signed-out', { count: design.waiting })
  return design.state === 'saving' ? t('bench.saving') : t('bench.saved')
})
/** With the letter of the zone that each has chosen. */
const alsoHere = computed(() =>
  design.here.map((one) => (design.zones[one.spot] ? `${one.name} (${design.zones[one.spot]!.letter})` : one.name)).join(', '),
)
const others = computed(() => design.answer?.surfaces.filter((code) => code !== design.answer?.surface?.code).length ?? 0)
</script>

<template>
  <div class="bench-bar">
    <RouterLink v-if="design.answer?.list" class="plain" :to="{ name: 'playlists' }">{{ t('playlists.title') }}</RouterLink>
    <RouterLink v-else v-b-tooltip="t('designs.hint')" class="plain" :to="{ name: 'designs' }">{{ t('designs.title') }}</RouterLink>
    <DesignName :editable="canEdit" />
    <button v-b-tooltip="t('bench.other-hint')" type="button" class="plain bench-surface" @click="emit('aside', 'other')">
      {{ design.answer?.surface?.name ? listed(design.answer.surface.name, design.answer.area) : t('designs.nowhere') }}
      <template v-if="others">{{ t('designs.and-more', { count: others }) }}</template>
    </button>
    <span class="spring" />
    <span v-if="design.here.length" class="here" role="status">{{ t('bench.here', { who: alsoHere }) }}</span>
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
        v-for="tool in design.answer?.list ? [] : tools"
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
  <p v-if="design.answer?.list" class="hint list-said">
    {{ t('playlists.this') }}
    <WhereUsed :key="design.id" :text="t('uses.where')" :load="() => usesOfDocument(design.id)" />
  </p>
  <SceneFrieze v-else :plays="plays" @open="(scene, layout) => emit('open', scene, layout)" @particulars="emit('aside', 'scene')" />
</template>

<style scoped>
.list-said {
  margin: 0;
  padding: 0.4rem 0.9rem;
}
</style>
