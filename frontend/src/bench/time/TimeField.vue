<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next'
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { seconds } from '../../ui/format'

/** The playhead's time; typed as seconds, `130`, or as a clock, `2:10`. Escape leaves it as it is. */
const props = defineProps<{ tMs: number; playing: boolean }>()
const emit = defineEmits<{ seek: [ms: number] }>()
const { t } = useI18n()
const typed = ref(seconds(props.tMs))
const typing = ref(false)
watch(
  () => props.tMs,
  (ms) => {
    if (!typing.value) typed.value = seconds(ms)
  },
)
function reset(): void {
  typing.value = false
  typed.value = seconds(props.tMs)
}
function keep(): void {
  const text = typed.value.replace(/\s*s$/, '').replace(',', '.').trim()
  const isTime = /^(\d{1,3}:){0,2}\d{1,6}(\.\d{1,3})?$/.test(text)
  if (isTime) emit('seek', Math.round(text.split(':').reduce((sum, part) => sum * 60 + Number(part), 0) * 1000))
  reset()
}
</script>

<template>
  <BFormInput
    v-model="typed"
    size="sm"
    class="measure now time-field"
    :class="{ playing }"
    :aria-label="t('rail.time')"
    @focus="typing = true"
    @change="keep"
    @blur="reset"
    @keydown.esc.stop="reset" />
</template>
