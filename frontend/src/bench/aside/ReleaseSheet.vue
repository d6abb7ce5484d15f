<script setup lang="ts">
import { BFormTextarea, BModal } from 'bootstrap-vue-next'
import { computed, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { ProblemError } from '../../api/client'
import { release, releasesOf } from '../../api/designs'
import { useOnce } from '../../api/once'
import type { ReleaseLine } from '../../api/handoff'
import type { Finding } from '../../api/types'
import FindingLines from '../../ui/FindingLines.vue'
import HandOffMade from './HandOffMade.vue'
import RefusalNote from '../../ui/RefusalNote.vue'
import { useDesign } from '../store/design'
import { useReleased } from '../store/released'
import ReleaseSurfaces from './ReleaseSurfaces.vue'

const emit = defineEmits<{ close: [] }>()
const { t } = useI18n()
const design = useDesign()
const released = useReleased()
const note = ref('')
const error = ref<unknown>(null)
const once = useOnce()
const made = ref<ReleaseLine | null>(null)
const shown = ref(true)
const surfaces = ref([...new Set([design.answer?.surface?.code ?? '', ...(design.answer?.surfaces ?? [])].filter(Boolean))])
/** What the last release was for comes first again. */
onMounted(async () => {
  const known = await releasesOf(design.id)
  const last = known.reduce<ReleaseLine | null>((newest, one) => (newest && newest.number > one.number ? newest : one), null)
  if (last?.surfaces?.length && !made.value) surfaces.value = last.surfaces.map((one) => one.code)
})
const stops = computed<Finding[]>(() => (error.value instanceof ProblemError ? (error.value.problem.findings ?? []) : []))

async function make(): Promise<void> {
  error.value = null
  try {
    const wanted = { revision: design.revision, note: note.value, surfaces: surfaces.value }
    made.value = await once(JSON.stringify(wanted), (made_as) => release(design.id, { ...wanted, made_as }))
    void released.ask(design.id)
  } catch (refused) {
    error.value = refused
  }
}
</script>

<template>
  <BModal v-model="shown" size="lg" scrollable :title="t('release.title')" :header-close-label="t('close')" @hidden="emit('close')">
    <template v-if="!made">
      <label for="release-note">{{ t('release.note') }}</label>
      <BFormTextarea id="release-note" v-model="note" rows="2" maxlength="500" aria-describedby="note-hint" />
      <p id="note-hint" class="hint">{{ t('release.note-hint') }}</p>
      <ReleaseSurfaces v-model="surfaces" />
      <RefusalNote :error="error" />
      <FindingLines :findings="stops.map((one) => (one.surface ? { ...one, message: `${one.surface}: ${one.message}` } : one))" />
    </template>
    <template v-else>
      <p role="status">{{ t('release.done', { number: String(made.number), count: made.surfaces?.length ?? 1 }) }}</p>
      <HandOffMade :made="made" :site="design.answer?.surface?.site ?? ''" />
    </template>
    <template #footer>
      <button type="button" class="btn btn-outline-dark" @click="emit('close')">{{ t('close') }}</button>
      <button v-if="!made" type="button" class="btn btn-primary" @click="make">
        {{ t('release.make', { revision: String(design.revision ?? 0) }) }}
      </button>
      <RouterLink v-else class="btn btn-outline-dark" :to="{ name: 'hand-off' }">{{ t('release.to-hand-off') }}</RouterLink>
    </template>
  </BModal>
</template>
