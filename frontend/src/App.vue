<script setup lang="ts">
import { useRoute } from 'vue-router'
import TheLintel from './ui/TheLintel.vue'

const route = useRoute()
</script>

<template>
  <TheLintel v-if="route.name !== 'sign-in'" />
  <main id="place" :class="{ bare: route.name === 'sign-in' }"><RouterView /></main>
</template>
