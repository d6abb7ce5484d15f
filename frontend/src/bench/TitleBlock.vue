<script setup lang="ts">
import { watchDebounced } from '@vueuse/core'
import { vBTooltip } from 'bootstrap-vue-next'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import FindingMark from '../ui/FindingMark.vue'
import { pixels } from '../ui/format'
import type { Aside } from './aside/column'
import { useDesign } from './store/design'
import { useReleased } from './store/released'
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
const released = useReleased()
// Also when a house style or a medium brought another answer for the same revision.
watchDebounced(
  () => design.answer,
  () => void released.ask(design.id),
  { debounce: 700, immediate: true },
)
const as = computed(() => {
  if (released.number === null) return t('bench.not-released')
  return t(released.newer.length ? 'bench.newer' : 'bench.as-released', { number: String(released.number) })
})
const why = computed(() =>
  released.newer.map(({ what, name }) => t(`handoff.newer-${what}`, { name, revision: String(design.revision) })).join(', '),
)
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
    <p v-if="released.number !== undefined" role="status">
      <button v-if="why" v-b-tooltip="why" type="button" class="plain" @click="emit('aside', 'history')">{{ as }}</button>
      <template v-else>{{ as }}</template>
    </p>
    <p class="verdict">
      <button type="button" class="plain" @click="emit('aside', 'preflight')">
        <FindingMark v-if="worst" :severity="worst" />
        {{ verdict }}
      </button>
      <button type="button" class="plain" @click="emit('aside', 'sheets')">{{ t('bench.sheets') }}</button>
    </p>
  </div>
</template>
