<script setup lang="ts">
import { BFormCheckbox, BFormInput, BFormSelect } from 'bootstrap-vue-next'
import { computed, ref, toRefs, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { MediaLine } from '../../api/types'
import { useSession } from '../../session/session'
import ChooseFiles from '../../stock/ChooseFiles.vue'
import MediaCard from '../../stock/MediaCard.vue'
import { useUploads } from '../../stock/uploads'
import { useSeveral } from '../../stock/useSeveral'
import { ratioText } from '../../ui/format'
import RefusalNote from '../../ui/RefusalNote.vue'
import { useDesign } from '../store/design'
import { carry } from '../canvas/stockDrag'
import { useFloats } from '../store/useFloats'
import { useScene } from '../scenes/useScene'

const emit = defineEmits<{ put: [zone: string, media: MediaLine]; 'put-all': [zone: string, media: MediaLine[]] }>()
const { t } = useI18n()
const stock = useUploads()
const design = useDesign()
const session = useSession()
const { pictureGround } = useScene()
const floats = useFloats()
const { search, folder } = toRefs(stock.shelf)
/** Said until it is understood. */
const HINT = 'bench:shelf-hint'
const seen = ref(localStorage.getItem(HINT) !== null)
function understood(): void {
  localStorage.setItem(HINT, 'seen')
  seen.value = true
}
/** Only what the chosen zone shows without bars and without loss. */
const fitting = ref(false)
const ratio = computed(() => (design.zone ? ratioText(design.zone.ratio) : ''))
const listed = computed(() =>
  stock.media.filter(
    (one) =>
      one.kind !== 'font' &&
      stock.isIn(one, folder.value) &&
      one.name.toLowerCase().includes(search.value.toLowerCase()) &&
      (!fitting.value || !ratio.value || (one.ratio && ratioText(one.ratio) === ratio.value)),
  ),
)

const grid = useTemplateRef<HTMLElement>('grid')
const several = useSeveral(
  () => listed.value,
  () => grid.value,
)
/** What can stand in a playlist. */
const shown = computed(() => several.chosen.value.filter((one) => one.state === 'ready' && ['picture', 'video'].includes(one.kind)))
function putAll(zone: string): void {
  emit('put-all', zone, shown.value)
  several.clear()
}
const asFloat = (media: MediaLine, [x, y]: [number, number]): Promise<void> => {
  const [width, height] = design.answer?.canvas ?? [4, 4]
  return floats.placeMedium(media, [x * width, y * height])
}
function press(media: MediaLine, event: PointerEvent): void {
  if (event.button !== 0 || !design.mayChange || (event.target as HTMLElement).closest('button, input')) return
  event.preventDefault()
  carry(media, event, (target, dropped) => {
    if ('zone' in target) emit('put', target.zone, dropped)
    else if ('at' in target) void asFloat(dropped, target.at)
    else if (dropped.kind === 'picture') void pictureGround(dropped.id, target.scene)
  })
}
</script>

<template>
  <div @dragover.prevent @drop.prevent="stock.sendAll($event.dataTransfer?.files ?? [])">
    <label class="visually-hidden" for="shelf-search">{{ t('stock.search') }}</label>
    <BFormInput size="sm" id="shelf-search" v-model="search" type="search" :placeholder="t('stock.search')" />
    <label v-if="stock.folders.length" class="visually-hidden" for="shelf-folder">{{ t('stock.folder') }}</label>
    <BFormSelect v-if="stock.folders.length" id="shelf-folder" v-model="folder" size="sm">
      <option value="">{{ t('stock.any-folder') }}</option>
      <option v-for="one in stock.folders" :key="one" :value="one">{{ one }}</option>
      <option value="/">{{ t('stock.no-folder') }}</option>
    </BFormSelect>
    <BFormCheckbox v-if="design.zone" v-model="fitting">
      {{ t('stock.fits', { letter: design.zone.letter, ratio }) }}
    </BFormCheckbox>
    <p v-if="fitting && !listed.length" class="hint">{{ t('stock.nothing') }}</p>
    <p v-if="!seen" class="hint">
      {{ t('stock.carry') }} {{ t('stock.drop') }}
      <button type="button" class="plain" @click="understood">{{ t('close') }}</button>
    </p>
    <p v-if="session.may('fill')"><ChooseFiles /></p>
    <RefusalNote :error="stock.error" />
    <p v-if="stock.loaded && !stock.media.length" class="empty-state">{{ t('stock.empty') }}</p>
    <p v-if="design.zone && shown.length > 1" class="put-all">
      <button type="button" class="btn btn-sm btn-primary" @click="putAll(design.zone.id)">
        {{ t('stock.put-all', { count: shown.length, letter: design.zone.letter }) }}
      </button>
    </p>
    <div ref="grid" class="media-grid narrow">
      <MediaCard
        v-for="one in listed"
        :key="one.id"
        dense
        :media="one"
        class="carriable"
        :class="{ picked: several.has(one.id) }"
        @pointerdown="press(one, $event)">
        <input
          v-if="design.zone && design.mayChange && (one.kind === 'picture' || one.kind === 'video')"
          type="checkbox"
          class="form-check-input pick"
          :checked="several.has(one.id)"
          :aria-label="t('stock.choose-one', { name: one.name })"
          @click="several.choose(one.id, ($event.target as HTMLInputElement).checked, $event.shiftKey)" />
        <button
          v-if="design.zone && design.mayChange"
          type="button"
          class="btn btn-sm btn-outline-dark"
          :aria-label="`${t('stock.put', { letter: design.zone.letter })}: ${one.name}`"
          @click="emit('put', design.zone.id, one)">
          {{ t('stock.put', { letter: design.zone.letter }) }}
        </button>
        <button
          v-if="design.mayChange && one.state === 'ready' && one.kind !== 'page'"
          type="button"
          class="btn btn-sm btn-outline-dark"
          :aria-label="`${t('stock.as-float')}: ${one.name}`"
          @click="asFloat(one, [0.5, 0.5])">
          {{ t('stock.as-float') }}
        </button>
      </MediaCard>
    </div>
  </div>
</template>

<style scoped>
.put-all {
  position: sticky;
  top: 0;
  z-index: 2;
  margin: 0;
  padding: 0.3rem 0;
  background: var(--sheet);
}
</style>
