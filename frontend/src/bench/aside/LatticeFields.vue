<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import MeasureField from '../../ui/MeasureField.vue'
import { useDesign } from '../store/design'
import { useDrawing } from '../canvas/drawing'
import { useLattice } from '../store/useLattice'

/** Columns and rows over the canvas, to snap to and to carve panes from. */
const { t } = useI18n()
const design = useDesign()
const drawing = useDrawing()
const lattice = useLattice()
const cells = computed(() => lattice.cells.value)
</script>

<template>
  <h3>{{ t('lattice.title') }}</h3>
  <p class="hint">{{ t('lattice.hint') }}</p>
  <div v-if="cells" class="pair">
    <MeasureField
      :label="t('lattice.columns')"
      :value="cells[0]"
      path="/lattice/0"
      :refusal="design.refusal"
      @set="lattice.set([$event, cells[1]])" />
    <MeasureField
      :label="t('lattice.rows')"
      :value="cells[1]"
      path="/lattice/1"
      :refusal="design.refusal"
      @set="lattice.set([cells[0], $event])" />
  </div>
  <div class="button-row">
    <button type="button" class="btn btn-sm btn-outline-dark" :aria-pressed="drawing.carving" @click="lattice.toggle()">
      {{ t('lattice.carve') }}
      <kbd>G</kbd>
    </button>
    <button v-if="cells" type="button" class="btn btn-sm btn-outline-dark" @click="lattice.set(null)">{{ t('lattice.away') }}</button>
  </div>
</template>
