<script setup lang="ts">
defineProps<{ label: string; value: string }>()
const emit = defineEmits<{ set: [colour: string] }>()
</script>

<template>
  <label class="colour-field">{{ label }}<span><input type="color" :aria-label="label" :value="value.toLowerCase()" @input="emit('set', ($event.target as HTMLInputElement).value)" /><input class="form-control form-control-sm measure" :aria-label="`${label} #`" :value="value" @change="emit('set', ($event.target as HTMLInputElement).value)" /></span></label>
</template>
