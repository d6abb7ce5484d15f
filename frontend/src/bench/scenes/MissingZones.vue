<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import FindingMark from '../../ui/FindingMark.vue'
import { useDesign } from '../store/design'
import { halvesOf } from '../store/parts'

/** Zones that this layout leaves out, each with ways to place it beside the chosen pane. */
const { t } = useI18n()
const design = useDesign()
const missing = computed(() => design.layoutFindings.filter((finding) => finding.code === 'layout.zone_missing'))

function place(zone: string, axis: 'x' | 'y'): void {
  const chosen = design.zone ?? design.plans[0]
  if (!chosen) return
  void design.split(chosen.id, axis, halvesOf(design.bench, chosen.id)[axis].at, zone).then(() => (design.selected = zone))
}
</script>

<template>
  <div v-for="finding in missing" :key="finding.params['zone']" class="missing-zone" role="status">
    <FindingMark :severity="finding.severity" />
    <span>{{ finding.message }}</span>
    <template v-if="design.mayChange">
      <button type="button" class="btn btn-sm btn-outline-dark" @click="place(finding.params['zone'] ?? '', 'y')">
        {{ t('layout.place-below', { letter: (design.zone ?? design.plans[0])?.letter ?? '' }) }}
      </button>
      <button type="button" class="btn btn-sm btn-outline-dark" @click="place(finding.params['zone'] ?? '', 'x')">
        {{ t('layout.place-right', { letter: (design.zone ?? design.plans[0])?.letter ?? '' }) }}
      </button>
    </template>
  </div>
</template>
