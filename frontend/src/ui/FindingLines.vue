<script setup lang="ts">
import type { Finding } from '../api/types'
import FindingMark from './FindingMark.vue'

/** Findings to read, each with what mends it. */
defineProps<{ findings: Pick<Finding, 'severity' | 'message' | 'mend'>[]; label?: string }>()
</script>

<template>
  <ul v-if="findings.length" class="findings short" :aria-label="label">
    <li v-for="(finding, index) in findings" :key="index">
      <FindingMark :severity="finding.severity" />
      <span>
        {{ finding.message }}
        <span class="hint">{{ finding.mend }}</span>
      </span>
    </li>
  </ul>
</template>
