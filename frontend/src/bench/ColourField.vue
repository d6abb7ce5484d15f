<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next'
defineProps<{ label: string; value: string }>()
const emit = defineEmits<{ set: [colour: string] }>()
</script>

<template>
  <label class="colour-field">
    {{ label }}
    <span>
      <input
        type="color"
        :aria-label="label"
        :value="value.toLowerCase()"
        @input="emit('set', ($event.target as HTMLInputElement).value)" />
      <BFormInput
        size="sm"
        class="measure"
        :aria-label="`${label} #`"
        :model-value="value"
        @change="emit('set', ($event.target as HTMLInputElement).value)" />
    </span>
  </label>
</template>
