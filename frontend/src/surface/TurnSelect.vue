<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next'

/** A quarter turn, clockwise. */
defineProps<{ label: string }>()
const turn = defineModel<number>({ required: true })
const turns = [0, 90, 180, 270] as const
</script>

<template>
  <label>
    {{ label }}
    <BFormSelect size="sm" :model-value="turn" @change="turn = Number(($event.target as HTMLSelectElement).value)">
      <option v-for="one in turns" :key="one" :value="one">{{ one }}°</option>
    </BFormSelect>
  </label>
</template>
