<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { BFormCheckbox, BFormInput } from 'bootstrap-vue-next'
import { onMounted, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { call } from '../api/client'
import type { DesignLine } from '../api/designs'
import RemovedList from '../document/RemovedList.vue'
import { useSession } from '../session/session'
import RefusalNote from '../ui/RefusalNote.vue'
import ThingColumn from '../ui/ThingColumn.vue'
import DesignTable from './DesignTable.vue'
import FromSmil from './FromSmil.vue'
import NewForSize from './NewForSize.vue'

/** Every design of the site: found by name, surface, size, who and when; begun for a size; put away and brought back. */
const { t } = useI18n()
const session = useSession()
const designs = ref<DesignLine[] | null>(null)
const more = ref(false)
const zone = ref('UTC')
const sought = ref('')
const archived = ref(false)
const error = ref<unknown>(null)
const WAIT_MS = 150
let asked = 0
let page = 0

/** A page of them; the answer to what was asked last is shown, whichever comes last. */
async function load(next = 0): Promise<void> {
  const mine = ++asked
  const query = new URLSearchParams({ find: sought.value, archived: archived.value ? '1' : '0', page: String(next) })
  try {
    const answer = await call<{ designs: DesignLine[]; more: boolean; zone: string }>(
      'GET',
      `/api/sites/${session.slug}/designs?${query.toString()}`,
    )
    if (mine !== asked) return
    designs.value = next === 0 ? answer.designs : [...(designs.value ?? []), ...answer.designs]
    more.value = answer.more
    zone.value = answer.zone
    error.value = null
    page = next
  } catch (refused) {
    if (mine === asked) error.value = refused
  }
}
watch(
  sought,
  useDebounceFn(() => load(), WAIT_MS),
)
const gone = ref<InstanceType<typeof RemovedList>>()
const heading = (): HTMLElement | null => document.querySelector('.place-head input')
function changed(): void {
  void load()
  void gone.value?.load()
}
watch([archived, () => session.slug], () => void load())
onMounted(load)
</script>

<template>
  <div class="with-column">
    <section class="drawing-area scrolls">
      <div class="place-head">
        <h1>{{ t('designs.title') }}</h1>
        <p class="hint">{{ t('designs.hint') }}</p>
        <span class="spring" />
        <BFormInput
          v-model="sought"
          size="sm"
          type="search"
          maxlength="200"
          :placeholder="t('designs.find')"
          :aria-label="t('designs.find')" />
        <BFormCheckbox v-model="archived">{{ t('designs.archived') }}</BFormCheckbox>
      </div>
      <RefusalNote :error="error" />
      <DesignTable v-if="designs?.length" :designs="designs" :zone="zone" @changed="changed" @failed="error = $event" />
      <p v-else-if="designs" class="empty-state">
        {{ t(sought ? 'designs.none-found' : archived ? 'designs.none-archived' : 'designs.none') }}
      </p>
      <RemovedList v-if="archived" ref="gone" kind="design" :after="heading" @back="load()" />
      <button v-if="more" type="button" class="btn btn-sm btn-outline-dark more" @click="load(page + 1)">{{ t('designs.more') }}</button>
    </section>
    <ThingColumn :label="t('designs.new')" about="new">
      <template v-if="session.may('design')">
        <NewForSize />
        <FromSmil />
      </template>
      <p v-else class="hint">{{ t('bench.view-only') }}</p>
    </ThingColumn>
  </div>
</template>
