<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { call } from '../api/client'
import type { SurfaceLine } from '../api/types'
import { useSession } from '../session/session'
import { pixels, timeOfDay } from '../ui/format'
import RefusalNote from '../ui/RefusalNote.vue'

const props = defineProps<{ surface: SurfaceLine; zone: string }>()
const { t } = useI18n()
const router = useRouter()
const session = useSession()
const name = ref('')
const error = ref<unknown>(null)

async function make(): Promise<void> {
  error.value = null
  try {
    const made = await call<{ design: string }>('POST', `/api/surfaces/${props.surface.code}/designs`, { design: crypto.randomUUID(), name: name.value })
    await router.push({ name: 'bench', params: { design: made.design } })
  } catch (refused) {
    error.value = refused
  }
}
const mm = (um: number): string => `${(um / 1000).toFixed(1).replace(/\.0$/, '')}`
</script>

<template>
  <h2>{{ surface.name }}</h2>
  <dl class="particulars">
    <dt>{{ t('elevation.canvas') }}</dt><dd class="measure">{{ pixels(...surface.canvas) }}</dd>
    <dt>{{ t('elevation.ratio') }}</dt><dd class="measure">{{ surface.ratio.exact }}<template v-if="surface.ratio.name && surface.ratio.name !== surface.ratio.exact"> ({{ surface.ratio.name }})</template></dd>
    <dt>{{ t('elevation.orientation') }}</dt><dd>{{ t(`elevation.${surface.orientation}`) }}<template v-if="surface.rotation">, {{ t('elevation.mounted', { turn: String(surface.rotation) }) }}</template></dd>
    <dt>{{ t('elevation.size') }}</dt><dd class="measure">{{ mm(surface.width_um) }} × {{ mm(surface.height_um) }} mm</dd>
    <dt>{{ t('elevation.pitch') }}</dt><dd class="measure">{{ surface.pitch_mm[0] }} mm</dd>
    <dt>{{ t('elevation.kind') }}</dt><dd>{{ surface.kind }}</dd>
    <dt>{{ t('elevation.panels') }}</dt><dd class="measure">{{ surface.panels.length }}</dd>
  </dl>
  <h3>{{ t('elevation.designs') }}</h3>
  <p v-if="!surface.designs.length" class="hint">{{ t('elevation.no-design') }}</p>
  <ul class="lines">
    <li v-for="design in surface.designs" :key="design.id">
      <RouterLink class="line" :to="{ name: 'bench', params: { design: design.id } }"><span>{{ design.name }}</span><span class="hint">{{ t('elevation.revision', { revision: String(design.revision) }) }} · {{ timeOfDay(design.changed_at, zone) }}</span></RouterLink>
    </li>
  </ul>
  <form v-if="session.designs()" class="new-design" @submit.prevent="make">
    <label for="new-design">{{ t('elevation.name') }}</label>
    <input id="new-design" v-model="name" class="form-control form-control-sm" required maxlength="120" />
    <RefusalNote :error="error" />
    <button class="btn btn-primary btn-sm" type="submit">{{ t('elevation.make') }}</button>
  </form>
  <h3>{{ t('elevation.players') }}</h3>
  <ul class="lines"><li v-for="player in surface.players" :key="player.code" class="line"><span class="measure">{{ player.code }}</span><span class="state" :class="player.state">{{ t(`state.${player.state}`) }}</span></li></ul>
</template>
