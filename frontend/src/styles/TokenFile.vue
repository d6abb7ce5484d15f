<script setup lang="ts">
import { useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { useSession } from '../session/session'
import { useStyles } from './styles'

/** The style as a file of design tokens, and such a file taken into it. */
const { t } = useI18n()
const styles = useStyles()
const session = useSession()
const file = useTemplateRef<HTMLInputElement>('file')

async function take(): Promise<void> {
  const chosen = file.value?.files?.[0]
  if (!chosen) return
  const tokens: unknown = await chosen
    .text()
    .then((text) => JSON.parse(text) as unknown)
    .catch(() => null)
  await styles.takeTokens(tokens)
  if (file.value) file.value.value = ''
}
</script>

<template>
  <a class="btn btn-sm btn-outline-dark" :href="`/api/styles/${styles.id}/tokens`" :download="`${styles.whole?.name}.tokens.json`">
    {{ t('style.export') }}
  </a>
  <label v-if="session.may('design')" class="btn btn-sm btn-outline-dark take">
    {{ t('style.import') }}
    <input ref="file" class="visually-hidden" type="file" accept=".json,application/json" @change="take" />
  </label>
  <p v-if="styles.left.length" class="hint" role="status">
    {{ t('style.left', { count: styles.left.length, what: styles.left.join(', ') }) }}
  </p>
</template>

<style scoped>
.take:focus-within {
  outline: 2px solid var(--oxide);
  outline-offset: 2px;
}
</style>
