<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { call } from '../api/client'
import { useSession } from '../session/session'
import RefusalNote from '../ui/RefusalNote.vue'

/** A design from the layout of a SMIL document, with what could not be taken over. */
const { t } = useI18n()
const session = useSession()
const USUAL_PITCH_MM = 0.5
const error = ref<unknown>(null)
const made = ref<{ design: string; report: { code: string; path: string; message: string }[] } | null>(null)

async function take(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0]
  if (!file) return
  error.value = made.value = null
  try {
    made.value = await call('POST', `/api/sites/${session.slug}/designs/smil`, {
      design: crypto.randomUUID(),
      name: file.name.replace(/\.[^.]*$/, '').slice(0, 120) || file.name,
      pitch_mm: USUAL_PITCH_MM,
      smil: await file.text(),
    })
  } catch (refused) {
    error.value = refused
  }
  field.value = ''
}
</script>

<template>
  <h2>{{ t('designs.smil') }}</h2>
  <p class="hint">{{ t('designs.smil-hint') }}</p>
  <label>
    {{ t('designs.smil-file') }}
    <input type="file" class="form-control form-control-sm" accept=".smil,.smi,.xml" @change="take" />
  </label>
  <RefusalNote :error="error" />
  <div v-if="made" role="status" class="smil-report">
    <p>{{ t('designs.smil-made', { count: made.report.length }) }}</p>
    <ul v-if="made.report.length">
      <li v-for="(line, index) in made.report" :key="index">
        {{ line.message }}
        <span class="measure hint">{{ line.path }}</span>
      </li>
    </ul>
    <RouterLink class="btn btn-sm btn-primary" :to="{ name: 'bench', params: { design: made.design } }">{{ t('designs.open') }}</RouterLink>
  </div>
</template>
