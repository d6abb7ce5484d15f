<script setup lang="ts">
import { BFormTextarea, BModal } from 'bootstrap-vue-next'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { call, ProblemError } from '../api/client'
import type { Finding, ReleaseLine } from '../api/types'
import FindingMark from '../ui/FindingMark.vue'
import RefusalNote from '../ui/RefusalNote.vue'
import { useDesign } from './design'

const emit = defineEmits<{ close: [] }>()
const { t } = useI18n()
const design = useDesign()
const note = ref('')
const error = ref<unknown>(null)
const made = ref<ReleaseLine | null>(null)
const shown = ref(true)
const stops = computed<Finding[]>(() => (error.value instanceof ProblemError ? (error.value.problem.findings ?? []) : []))

async function make(): Promise<void> {
  error.value = null
  try {
    made.value = await call<ReleaseLine>('POST', `/api/designs/${design.id}/releases`, { revision: design.revision, note: note.value })
  } catch (refused) {
    error.value = refused
  }
}
</script>

<template>
  <BModal v-model="shown" :title="t('release.title')" @hidden="emit('close')">
    <template v-if="!made">
      <label for="release-note">{{ t('release.note') }}</label>
      <BFormTextarea id="release-note" v-model="note" rows="2" maxlength="500" aria-describedby="note-hint" />
      <p id="note-hint" class="hint">{{ t('release.note-hint') }}</p>
      <RefusalNote :error="error" />
      <ul class="findings short">
        <li v-for="(finding, index) in stops" :key="index">
          <FindingMark :severity="finding.severity" />
          <span>
            {{ finding.message }}
            <span class="hint">{{ finding.mend }}</span>
          </span>
        </li>
      </ul>
    </template>
    <p v-else role="status">{{ t('release.done', { number: String(made.number) }) }}</p>
    <template #footer>
      <button type="button" class="btn btn-outline-dark" @click="emit('close')">{{ t('close') }}</button>
      <button v-if="!made" type="button" class="btn btn-primary" @click="make">
        {{ t('release.make', { revision: String(design.revision ?? 0) }) }}
      </button>
      <RouterLink v-else class="btn btn-primary" :to="{ name: 'hand-off' }">{{ t('release.to-hand-off') }}</RouterLink>
    </template>
  </BModal>
</template>
