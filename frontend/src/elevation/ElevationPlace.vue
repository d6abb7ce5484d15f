<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import type { SurfaceLine } from '../api/surfaces'
import { useSession } from '../session/session'
import ConflictChoice from '../document/ConflictChoice.vue'
import { useListening } from '../document/useListening'
import { provideRefusal } from '../surface/refusal'
import { useBook } from '../surface/book'
import { useSurfaces } from '../surface/surfaces'
import { useUndoKeys } from '../ui/useUndoKeys'
import RefusalNote from '../ui/RefusalNote.vue'
import ThingColumn from '../ui/ThingColumn.vue'
import ElevationDrawing from './ElevationDrawing.vue'
import SurfaceColumn from './SurfaceColumn.vue'
import SurfaceList from './SurfaceList.vue'
import { goOn } from '../ui/focus'

const { t } = useI18n()
const route = useRoute()
const router = useRouter()
const session = useSession()
const surfaces = useSurfaces()
const book = useBook()
const unclaimed = provideRefusal(computed(() => surfaces.error))
const arranging = ref(false)
const all = computed(() => surfaces.elevation?.surfaces ?? [])
const code = computed(() => (typeof route.params['surface'] === 'string' ? route.params['surface'] : null))
const whole = computed(() => (surfaces.whole?.code === code.value ? surfaces.whole : null))

let opening: Promise<unknown> = Promise.resolve()
/** A second time, it is for a new design on it, also where its column is still on its way. */
const choose = (wanted: string | null): void => {
  if (wanted !== null && wanted === code.value)
    return void goOn(
      () => opening,
      () => document.getElementById('new-design'),
    )
  void router.replace({ name: 'elevation', params: { surface: wanted ?? '' } })
}
watch(
  code,
  (wanted) => {
    surfaces.error = null
    if (wanted) opening = Promise.resolve(surfaces.open(wanted)).catch(() => undefined)
  },
  { immediate: true },
)

/** What is dragged is opened first, so that the change is made on the revision that is shown. */
async function place(one: SurfaceLine, leftMm: number, floorMm: number): Promise<void> {
  if (code.value !== one.code) choose(one.code)
  await surfaces.change(one.code, { left_mm: leftMm, floor_mm: floorMm })
}
onMounted(surfaces.load)
watch(
  () => session.slug,
  () => void surfaces.load(),
)
useListening(() => (whole.value ? surfaces.listen() : surfaces.load()))
watch(
  () => surfaces.elevation?.book,
  (one) => void book.open(one ?? null),
  { immediate: true },
)
useUndoKeys((kind) => whole.value && void surfaces.step(kind))
</script>

<template>
  <div class="with-column">
    <section class="drawing-area">
      <div class="place-head">
        <h1>{{ t('elevation.title') }}</h1>
        <p class="hint">{{ t(arranging ? 'elevation.arrange-hint' : 'elevation.hint') }}</p>
        <span class="spring" />
        <RouterLink :to="{ name: 'designs' }">{{ t('designs.title') }}</RouterLink>
        <template v-if="session.may('mount')">
          <button type="button" class="btn btn-sm btn-outline-dark" :aria-pressed="arranging" @click="arranging = !arranging">
            {{ t('elevation.arrange') }}
          </button>
          <RouterLink class="btn btn-sm btn-primary" :to="{ name: 'new-surface' }">{{ t('surface.new') }}</RouterLink>
        </template>
      </div>
      <ElevationDrawing
        v-if="surfaces.elevation"
        :surfaces="all"
        :chosen="code"
        :arranging="arranging"
        :now-ms="surfaces.elevation.now_ms"
        @choose="choose"
        @place="place" />
    </section>
    <ThingColumn :label="whole?.name ?? t('elevation.surfaces')" :about="code">
      <RefusalNote :error="unclaimed" />
      <SurfaceColumn
        v-if="whole && surfaces.elevation"
        :key="whole.code"
        :surface="whole"
        :zone="surfaces.elevation.site.zone"
        @leave="choose(null)" />
      <SurfaceList v-else-if="surfaces.elevation && !code" :elevation="surfaces.elevation" @choose="choose" @mended="surfaces.load" />
    </ThingColumn>
    <ConflictChoice v-if="book.conflict" :problem="book.conflict" @choose="book.resolve" />
    <ConflictChoice v-if="surfaces.conflict" :problem="surfaces.conflict" @choose="surfaces.resolve" />
  </div>
</template>
