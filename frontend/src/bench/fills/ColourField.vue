<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useStyles } from '../../styles/styles'
import { useDesign } from '../store/design'

/** A colour of its own, or one that the design's house style names: then `id@#RRGGBB`. */
const props = defineProps<{ label: string; value: string }>()
const emit = defineEmits<{ set: [colour: string] }>()
const { t } = useI18n()
const design = useDesign()
const styles = useStyles()
const palette = computed(() => styles.find(design.answer?.style)?.colours ?? {})
const named = computed(() => (props.value.includes('@') ? (props.value.split('@')[0] ?? '') : ''))
const hex = computed(() => palette.value[named.value]?.hex ?? props.value.slice(-7))
const typed = (event: Event): string => (event.target as HTMLInputElement).value
</script>

<template>
  <div class="colour-field">
    <label>
      {{ label }}
      <span>
        <input type="color" :aria-label="label" :value="hex.toLowerCase()" @input="emit('set', typed($event))" />
        <BFormInput
          size="sm"
          class="measure"
          :aria-label="`${label} #`"
          :model-value="hex"
          @change="typed($event).toUpperCase() !== hex && emit('set', typed($event))" />
      </span>
    </label>
    <div v-if="Object.keys(palette).length" class="swatches" role="group" :aria-label="`${label}: ${t('style.named')}`">
      <button
        v-for="(colour, id) in palette"
        :key="id"
        type="button"
        :style="{ background: colour.hex }"
        :title="colour.name"
        :aria-label="colour.name"
        :aria-pressed="named === String(id)"
        @click="emit('set', `${id}@${colour.hex}`)" />
      <span class="hint">{{ palette[named]?.name ?? t('style.own') }}</span>
    </div>
  </div>
</template>

<style scoped>
.swatches {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px;
  margin-top: 4px;
}
.swatches button {
  width: 24px;
  height: 24px;
  padding: 0;
  border: 1px solid var(--edge);
}
.swatches button[aria-pressed='true'] {
  outline: 2px solid var(--ink);
  outline-offset: 1px;
}
</style>
