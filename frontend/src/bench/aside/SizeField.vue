<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { ProblemError } from '../../api/client'
import type { BenchPart } from '../../api/types'
import StateGlyph from '../../ui/StateGlyph.vue'
import { useTyped } from '../../ui/useTyped'

/** A length as it was written, in px, %, mm or fr, with the px it comes to beside it. A bare number is px. */
const props = defineProps<{ label: string; part: BenchPart | null; px: number; refusal: unknown }>()
const emit = defineEmits<{ set: [size: string]; lock: [on: boolean] }>()
const { t } = useI18n()
const asked = ref(false)
/** A share that comes to just its px, as after a line was dragged, reads as px; that it shares what is left stands beside it. */
const shares = computed(() => props.part?.size === `${props.px}fr`)
const written = computed(() => (props.part && !shares.value ? props.part.size : `${props.px}px`))
const { typed, enter, leave, reset: keep } = useTyped(() => written.value)
watch(written, () => (asked.value = false))
const refused = computed(() =>
  asked.value && props.refusal instanceof ProblemError && props.refusal.problem.path.endsWith('/size') ? props.refusal.problem : null,
)

function commit(): void {
  const text = typed.value.replace(/\s+/g, '')
  if (!props.part || text === '' || text === written.value) return
  const size = /^\d+$/.test(text) ? `${text}px` : text
  if (size === written.value) return
  asked.value = true
  emit('set', size)
}
function reset(): void {
  keep()
  asked.value = false
}
</script>

<template>
  <div class="size-field">
    <label :class="{ invalid: refused }">
      {{ label }}
      <BFormInput
        size="sm"
        v-model="typed"
        class="measure"
        :class="{ 'is-invalid': refused }"
        :disabled="!part || part.locked"
        :title="part ? '' : t('bench.whole')"
        :aria-invalid="!!refused"
        @focus="enter"
        @blur="leave"
        @change="commit"
        @keydown.enter.prevent="commit"
        @keydown.esc="reset" />
      <span v-if="refused" class="refusal" role="alert">{{ refused.title }} {{ refused.mend }}</span>
      <span v-else-if="shares" class="hint">{{ t('bench.shares') }}</span>
      <span v-else-if="!written.endsWith('px')" class="hint measure">{{ t('bench.resolved', { px: String(px) }) }}</span>
    </label>
    <button
      v-if="part"
      type="button"
      class="plain state-glyph"
      :aria-pressed="part.locked"
      :aria-label="t('bench.lock', { what: label })"
      :title="t('bench.lock', { what: label })"
      @click="emit('lock', !part.locked)">
      <StateGlyph what="locked" :on="part.locked" />
    </button>
  </div>
</template>
