<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { MediaLine } from '../api/types'
import { useSession } from '../session/session'
import ChooseFiles from '../stock/ChooseFiles.vue'
import MediaCard from '../stock/MediaCard.vue'
import { useUploads } from '../stock/uploads'
import RefusalNote from '../ui/RefusalNote.vue'
import { useDesign } from './design'
import { carry } from './stockDrag'

const emit = defineEmits<{ put: [zone: string, media: MediaLine] }>()
const { t } = useI18n()
const stock = useUploads()
const design = useDesign()
const session = useSession()
const search = ref('')
const listed = computed(() => stock.media.filter((one) => one.name.toLowerCase().includes(search.value.toLowerCase())))
const failed = computed(() => stock.uploads.filter((one) => one.fault))

function press(media: MediaLine, event: PointerEvent): void {
  if (event.button !== 0 || !session.may('design') || (event.target as HTMLElement).closest('button')) return
  event.preventDefault()
  carry(media, event, (zone, dropped) => emit('put', zone, dropped))
}
</script>

<template>
  <div @dragover.prevent @drop.prevent="stock.sendAll($event.dataTransfer?.files ?? [])">
    <label class="visually-hidden" for="shelf-search">{{ t('stock.search') }}</label>
    <BFormInput size="sm" id="shelf-search" v-model="search" type="search" :placeholder="t('stock.search')" />
    <p class="hint">{{ t('stock.drop') }}</p>
    <p v-if="session.may('fill')"><ChooseFiles /></p>
    <RefusalNote :error="stock.error" />
    <RefusalNote v-for="one in failed" :key="one.key" :error="one.fault" />
    <p v-if="stock.loaded && !stock.media.length" class="empty-state">{{ t('stock.empty') }}</p>
    <div class="media-grid narrow">
      <MediaCard v-for="one in listed" :key="one.id" :media="one" class="carriable" @pointerdown="press(one, $event)">
        <button
          v-if="design.zone && session.may('design')"
          type="button"
          class="btn btn-sm btn-outline-dark"
          :aria-label="`${t('stock.put', { letter: design.zone.letter })}: ${one.name}`"
          @click="emit('put', design.zone.id, one)">
          {{ t('stock.put', { letter: design.zone.letter }) }}
        </button>
      </MediaCard>
    </div>
  </div>
</template>
