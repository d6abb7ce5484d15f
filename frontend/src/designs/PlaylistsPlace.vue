<script setup lang="ts">
import { BFormInput, BTableSimple, BTbody, BTd, BTh, BThead, BTr } from 'bootstrap-vue-next'
import { computed, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { removeDocument } from '../api/documents'
import { makePlaylist } from '../api/playlists'
import RemovedList from '../document/RemovedList.vue'
import { useSession } from '../session/session'
import { usePlaylists } from '../stock/playlists'
import NumberField from '../surface/NumberField.vue'
import { provideRefusal } from '../surface/refusal'
import { listed, pixels, seconds } from '../ui/format'
import RefusalNote from '../ui/RefusalNote.vue'

/** Playlists of the Stock: lists that zones of many designs show. A new one begins with a canvas to check its art against. */
const { t } = useI18n()
const router = useRouter()
const session = useSession()
const playlists = usePlaylists()
const name = ref('')
const width = ref<number | null>(1920)
const height = ref<number | null>(1080)
const pitch = ref<number | null>(0.5)
const error = ref<unknown>(null)
const unclaimed = provideRefusal(computed(() => error.value))
const gone = ref<InstanceType<typeof RemovedList>>()
const id = crypto.randomUUID()

async function make(): Promise<void> {
  error.value = null
  try {
    const canvas = { px: [width.value, height.value] as [number | null, number | null], pitch_mm: pitch.value }
    const design = await makePlaylist(session.slug, { design: id, name: name.value, canvas })
    await router.push({ name: 'bench', params: { design } })
  } catch (refused) {
    error.value = refused
  }
}
/** What uses it is named when it is refused; else it waits in the list below for a month. */
async function remove(playlist: string): Promise<void> {
  error.value = null
  try {
    await removeDocument(playlist)
  } catch (refused) {
    error.value = refused
  }
  await playlists.load()
  await gone.value?.load()
}
const field = (): HTMLElement | null => document.getElementById('playlist-new')
onMounted(() => void playlists.load())
</script>

<template>
  <section class="playlists with-column">
    <div class="playlists-list">
      <div class="place-head">
        <h1>{{ t('playlists.title') }}</h1>
        <p class="hint">{{ t('playlists.hint') }}</p>
        <span class="spring" />
        <RouterLink class="plain" :to="{ name: 'stock' }">{{ t('place.stock') }}</RouterLink>
      </div>
      <p v-if="playlists.loaded && !playlists.all.length" class="empty-state">{{ t('playlists.none') }}</p>
      <BTableSimple v-else small hover responsive class="design-table">
        <BThead>
          <BTr>
            <BTh v-for="head in ['name', 'entries', 'pass', 'canvas', 'used']" :key="head" scope="col">{{ t(`playlists.${head}`) }}</BTh>
            <BTh>
              <span class="visually-hidden">{{ t('designs.actions') }}</span>
            </BTh>
          </BTr>
        </BThead>
        <BTbody>
          <BTr v-for="one in playlists.all" :key="one.id">
            <BTh scope="row">
              <RouterLink :to="{ name: 'bench', params: { design: one.id } }">{{ one.name }}</RouterLink>
            </BTh>
            <BTd class="measure">{{ one.entries }}</BTd>
            <BTd class="measure">{{ seconds(one.cycle_ms) }}</BTd>
            <BTd class="measure">{{ pixels(...one.canvas) }}</BTd>
            <BTd>{{ listed(...one.used_by.map((use) => use.name)) || t('uses.none') }}</BTd>
            <BTd>
              <button v-if="session.may('design')" type="button" class="plain" @click="remove(one.id)">{{ t('playlists.remove') }}</button>
            </BTd>
          </BTr>
        </BTbody>
      </BTableSimple>
    </div>
    <aside class="column">
      <div class="fields">
        <template v-if="session.may('design')">
          <h2>{{ t('playlists.new') }}</h2>
          <form class="new-design" @submit.prevent="make">
            <label for="playlist-new">{{ t('playlists.name') }}</label>
            <BFormInput id="playlist-new" v-model="name" size="sm" required maxlength="120" />
            <div class="pair">
              <NumberField v-model="width" :label="t('bench.width')" path="/canvas/px/0" unit="px" />
              <NumberField v-model="height" :label="t('bench.height')" path="/canvas/px/1" unit="px" />
            </div>
            <NumberField v-model="pitch" :label="t('elevation.pitch')" path="/canvas/pitch_mm" unit="mm" />
            <p class="hint">{{ t('playlists.canvas-hint') }}</p>
            <RefusalNote :error="unclaimed" />
            <button class="btn btn-primary btn-sm" type="submit">{{ t('playlists.make') }}</button>
          </form>
        </template>
        <RefusalNote v-else :error="error" />
        <RemovedList ref="gone" kind="design" :after="field" @back="playlists.load" />
      </div>
    </aside>
  </section>
</template>

<style scoped>
.playlists-list {
  flex: 1;
  min-width: 0;
}
.playlists-list :deep(.table-responsive),
.playlists-list .empty-state {
  padding: 0 1rem;
}
.new-design {
  display: grid;
  gap: 0.5rem;
}
</style>
