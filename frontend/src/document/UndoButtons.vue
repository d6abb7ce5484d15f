<script setup lang="ts">
import { vBTooltip } from 'bootstrap-vue-next'
import { useI18n } from 'vue-i18n'
import type { DocumentAnswer } from '../api/types'
import { useLabels } from './labels'

/** Undo and redo of a document, each saying what it would take back or do again. */
defineProps<{ undo: DocumentAnswer['undo'] }>()
const emit = defineEmits<{ step: [kind: 'undo' | 'redo'] }>()
const { t } = useI18n()
const labels = useLabels()
const kinds = ['undo', 'redo'] as const
</script>

<template>
  <button
    v-for="kind in kinds"
    :key="kind"
    v-b-tooltip="labels.all(undo[kind])"
    type="button"
    class="btn btn-sm btn-outline-dark"
    :disabled="!undo[kind]"
    @click="emit('step', kind)">
    {{ t(`bench.${kind}`) }}
  </button>
</template>
