<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import FindingMark from '../ui/FindingMark.vue'
import { pixels } from '../ui/format'
import type { Aside } from './aside/column'
import { useDesign } from './store/design'
import { useDrawing } from './canvas/drawing'
import { worstOf } from '../ui/severity'

const emit = defineEmits<{ aside: [aside: Aside] }>()
const { t } = useI18n()
const design = useDesign()
const drawing = useDrawing()
const worst = computed(() => worstOf(design.allFindings))
const verdict = computed(() => {
  if (!worst.value) return t('preflight.verdict-clear')
  return t(`preflight.${worst.value}s`, { count: design.allFindings.filter((finding) => finding.severity === worst.value).length })
})
</script>

<template>
  <div v-if="design.answer" class="title-block">
    <p class="title">{{ design.answer.name }}</p>
    <p>
      <button type="button" class="plain" @click="emit('aside', 'other')">{{ design.answer.surface?.name ?? t('designs.nowhere') }}</button>
    </p>
    <p class="measure">{{ pixels(...design.answer.canvas) }} · {{ design.answer.ratio?.name ?? design.answer.ratio?.exact }}</p>
    <p class="measure">
      <button type="button" class="plain" @click="emit('aside', 'drawing')">
        {{ t('bench.scale', { percent: (drawing.scale * 100).toFixed(0) }) }}
      </button>
      <button type="button" class="plain" :aria-pressed="drawing.mode === 'fit'" @click="drawing.view?.fit()">{{ t('bench.fit') }}</button>
      <button type="button" class="plain" :aria-pressed="drawing.mode === 'true'" @click="drawing.view?.actual()">
        {{ t('bench.true') }}
      </button>
    </p>
    <p>
      <button type="button" class="plain" @click="emit('aside', 'sheets')">{{ t('bench.sheets') }}</button>
    </p>
    <p class="verdict">
      <button type="button" class="plain" @click="emit('aside', 'preflight')">
        <FindingMark v-if="worst" :severity="worst" />
        {{ verdict }}
      </button>
    </p>
  </div>
</template>
