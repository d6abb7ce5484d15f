<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next'
import { computed, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { makePlaylist } from '../../api/playlists'
import type { PlaylistFill } from '../../api/types'
import { useSession } from '../../session/session'
import { usePlaylists } from '../../stock/playlists'
import RefusalNote from '../../ui/RefusalNote.vue'
import { useDesign } from '../store/design'

/** Whether the entries are the zone's own, or those of a playlist of the Stock; its own are lifted out in one step. */
const props = defineProps<{ fill: PlaylistFill; zone: string }>()
const { t } = useI18n()
const design = useDesign()
const session = useSession()
const playlists = usePlaylists()
const error = ref<unknown>(null)
const named = computed(() => (props.fill.of ? playlists.find(props.fill.of) : undefined))
const others = computed(() => (named.value?.used_by ?? []).flatMap(({ id, name }) => (id === design.id ? [] : [name])))
const clip = computed(() => (props.fill.clip ? { clip: props.fill.clip } : {}))
/** As they are there now. */
const own = computed<PlaylistFill>(() => {
  const { order, after, entries } = props.fill
  return { kind: 'playlist', entries, ...(order ? { order } : {}), ...(after ? { after } : {}) }
})
const show = (of: string | null): Promise<boolean> =>
  design.setFill(
    props.zone,
    of
      ? { kind: 'playlist', entries: [], ...clip.value, of }
      : // Its own from here on.
        { ...own.value, ...clip.value },
    `${props.zone}:of`,
  )
async function lift(): Promise<void> {
  error.value = null
  const plan = design.zones[props.zone]
  const answer = design.answer
  if (!plan || !answer?.um) return
  const [, , width, height] = plan.rect
  const name = design.documents[props.zone]?.name || t('playlists.of', { letter: plan.letter, design: answer.name })
  try {
    const made = await makePlaylist(session.slug, {
      design: crypto.randomUUID(),
      name: name.slice(0, 120),
      canvas: { px: [width, height], pitch_mm: answer.um[0] / answer.canvas[0] / 1000 },
      list: props.fill,
    })
    await show(made)
    await playlists.load()
  } catch (refused) {
    error.value = refused
  }
}
onMounted(() => void playlists.load())
const value = (event: Event): string => (event.target as HTMLSelectElement).value
</script>

<template>
  <label>
    {{ t('playlists.source') }}
    <BFormSelect size="sm" :model-value="fill.of ?? ''" @change="show(value($event) || null)">
      <option value="">{{ t('playlists.own') }}</option>
      <option v-for="one in playlists.all" :key="one.id" :value="one.id">{{ one.name }}</option>
      <option v-if="fill.of && !named" :value="fill.of">…</option>
    </BFormSelect>
  </label>
  <template v-if="fill.of">
    <p class="hint">
      {{ t('playlists.shared', { count: others.length }) }}
      <template v-if="others.length">{{ others.join(', ') }}</template>
    </p>
    <RouterLink class="btn btn-sm btn-outline-dark list-button" :to="{ name: 'bench', params: { design: fill.of } }">
      {{ t('playlists.open') }}
    </RouterLink>
  </template>
  <button v-else-if="fill.entries.length" type="button" class="btn btn-sm btn-outline-dark list-button" @click="lift">
    {{ t('playlists.lift') }}
  </button>
  <RefusalNote :error="error" />
</template>

<style scoped>
.list-button {
  margin-bottom: 0.6rem;
}
</style>
