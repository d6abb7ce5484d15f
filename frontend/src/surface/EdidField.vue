<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { sendBytes } from '../api/client'
import type { EdidAnswer } from '../api/surfaces'
import FindingLines from '../ui/FindingLines.vue'
import { millimetres, pixels } from '../ui/format'
import RefusalNote from '../ui/RefusalNote.vue'

/** A display's EDID file: read by the core, or refused with the reason. */
const emit = defineEmits<{ read: [edid: EdidAnswer | null] }>()
const { t } = useI18n()
const edid = ref<EdidAnswer | null>(null)
const error = ref<unknown>(null)

async function take(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  error.value = edid.value = null
  try {
    edid.value = await sendBytes<EdidAnswer>('/api/edid', file)
  } catch (refused) {
    error.value = refused
  }
  emit('read', edid.value)
}
</script>

<template>
  <label>
    {{ t('shape.edid') }}
    <input type="file" class="form-control form-control-sm" @change="take" />
  </label>
  <RefusalNote :error="error" />
  <template v-if="edid">
    <dl class="particulars" aria-live="polite">
      <dt>{{ t('shape.maker') }}</dt>
      <dd>{{ edid.maker }} {{ edid.product }} {{ edid.name }}</dd>
      <dt>{{ t('shape.native') }}</dt>
      <dd class="measure">{{ pixels(...edid.native) }}, {{ edid.refresh_hz }} Hz</dd>
      <dt>{{ t('elevation.size') }}</dt>
      <dd class="measure">
        {{ edid.active_mm ? millimetres(edid.active_mm) : t('shape.unknown') }}
        <span v-if="edid.size_from" class="hint">{{ t(`shape.from-${edid.size_from}`) }}</span>
      </dd>
      <dt>EDID</dt>
      <dd class="measure">{{ edid.version }}</dd>
    </dl>
    <FindingLines :findings="edid.findings" />
  </template>
</template>
