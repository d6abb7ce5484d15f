<script setup lang="ts">
import { useRoute } from 'vue-router'
import TheLintel from './ui/TheLintel.vue'

const route = useRoute()
</script>

<template>
  <TheLintel v-if="route.params['site']" />
  <main id="place" :class="{ bare: !route.params['site'] }"><RouterView /></main>
</template>
