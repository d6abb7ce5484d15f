<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { VideoFill } from '../../api/types'
import MeasureField from '../../ui/MeasureField.vue'
import { useDesign } from '../store/design'

/** From where to where a video is shown, in seconds of it. */
const props = defineProps<{ fill: VideoFill; durationMs: number }>()
const emit = defineEmits<{ set: [part: Partial<VideoFill>, target: string] }>()
const { t } = useI18n()
const design = useDesign()
const trim = computed(() => props.fill.trim ?? ([0, props.durationMs] as [number, number]))
/** The whole is no trim at all. */
function set(from: number, to: number): void {
  emit('set', { trim: from === 0 && to === props.durationMs ? null : [from, to] }, 'trim')
}
</script>

<template>
  <div class="field-row">
    <MeasureField
      :label="t('fill.trim-from')"
      unit="s"
      :parts="1000"
      path="/trim/0"
      :value="trim[0]"
      :refusal="design.refusal"
      @set="set($event, trim[1])" />
    <MeasureField
      :label="t('fill.trim-to')"
      unit="s"
      :parts="1000"
      path="/trim/1"
      :value="trim[1]"
      :refusal="design.refusal"
      @set="set(trim[0], $event)" />
  </div>
</template>
