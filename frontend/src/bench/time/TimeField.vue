<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next'
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { seconds } from '../../ui/format'
import { typedSeconds } from '../../ui/typedTime'

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
  const time = typedSeconds(typed.value)
  if (time !== null && time >= 0) emit('seek', Math.round(time * 1000))
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
