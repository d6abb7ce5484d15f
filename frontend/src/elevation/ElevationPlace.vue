<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { call } from '../api/client'
import type { Elevation } from '../api/types'
import RefusalNote from '../ui/RefusalNote.vue'
import ElevationDrawing from './ElevationDrawing.vue'
import SurfaceParticulars from './SurfaceParticulars.vue'

const { t } = useI18n()
const route = useRoute()
const router = useRouter()
const elevation = ref<Elevation | null>(null)
const error = ref<unknown>(null)
const chosen = computed(() => elevation.value?.surfaces.find((one) => one.code === route.params['surface']) ?? null)

async function load(): Promise<void> {
  try {
    elevation.value = await call<Elevation>('GET', '/api/sites/harrowmere/elevation')
  } catch (refused) {
    error.value = refused
  }
}
const choose = (code: string): void => void router.replace({ name: 'elevation', params: { surface: code } })
onMounted(load)
</script>

<template>
  <div class="with-column">
    <section class="drawing-area">
      <div class="place-head"><h1>{{ t('elevation.title') }}</h1><p class="hint">{{ t('elevation.hint') }}</p></div>
      <RefusalNote :error="error" />
      <ElevationDrawing v-if="elevation" :surfaces="elevation.surfaces" :chosen="chosen?.code ?? null" @choose="choose" />
    </section>
    <aside class="column" :aria-label="t('bench.particulars')">
      <SurfaceParticulars v-if="chosen && elevation" :key="chosen.code" :surface="chosen" :zone="elevation.site.zone" />
      <template v-else-if="elevation">
        <p class="hint">{{ t('elevation.pick') }}</p>
        <h2>{{ t('elevation.surfaces') }}</h2>
        <ul class="lines">
          <li v-for="one in elevation.surfaces" :key="one.code"><button type="button" class="line" @click="choose(one.code)"><span>{{ one.name }}</span><span class="measure">{{ one.canvas[0] }} × {{ one.canvas[1] }} px</span></button></li>
        </ul>
      </template>
    </aside>
  </div>
</template>
