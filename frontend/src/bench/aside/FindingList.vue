<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Finding } from '../../api/types'
import FindingMark from '../../ui/FindingMark.vue'
import { bySeverity } from '../../ui/severity'
import { useDesign } from '../store/design'

const emit = defineEmits<{ lead: [] }>()
const { t } = useI18n()
const design = useDesign()
const count = (severity: Finding['severity']): number => design.allFindings.filter((finding) => finding.severity === severity).length
const sorted = computed(() => [...design.allFindings].sort(bySeverity))
function lead(finding: Finding): void {
  design.selected = finding.params['zone'] ?? null
  emit('lead')
}
</script>

<template>
  <p role="status">
    {{ t('preflight.stops', { count: count('stop') }) }}, {{ t('preflight.cautions', { count: count('caution') }) }},
    {{ t('preflight.notes', { count: count('note') }) }}
  </p>
  <p v-if="!sorted.length" class="empty-state">{{ t('preflight.clear') }}</p>
  <ul class="findings">
    <li v-for="(finding, index) in sorted" :key="index">
      <button type="button" class="finding" :data-code="finding.code" @click="lead(finding)">
        <FindingMark :severity="finding.severity" />
        <b class="letter">{{ finding.params['letter'] }}</b>
        <span>
          {{ finding.message }}
          <br />
          <span class="hint">{{ finding.mend }}</span>
        </span>
      </button>
    </li>
  </ul>
</template>
