<script setup lang="ts">
import { useTemplateRef } from 'vue'
import { useRoute } from 'vue-router'
import TheLintel from './shell/TheLintel.vue'
import { useDialogFocus, useKeptFocus } from './ui/useKeptFocus'

const route = useRoute()
useKeptFocus(useTemplateRef<HTMLElement>('place'))
useDialogFocus()
</script>

<template>
  <TheLintel v-if="route.params['site']" />
  <main id="place" ref="place" :class="{ bare: !route.params['site'] }"><RouterView /></main>
</template>
