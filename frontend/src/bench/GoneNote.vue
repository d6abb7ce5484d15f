<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { useGone } from './useMerge'

/** Content that went with the last step, and the way back. */
const { t } = useI18n()
const { gone, dismiss, bringBack } = useGone()
</script>

<template>
  <p v-if="gone.length" class="gone-note" role="status">
    <span v-for="one in gone" :key="one.letter">{{ t('bench.gone', { letter: one.letter, fill: t(`fill.${one.kind}`) }) }}</span>
    <button type="button" class="btn btn-sm btn-outline-dark" @click="bringBack">{{ t('bench.bring-back') }}</button>
    <button type="button" class="plain" @click="dismiss">{{ t('close') }}</button>
  </p>
</template>
