<script setup lang="ts">
import { vBTooltip } from 'bootstrap-vue-next'
import { computed, ref, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { MediaLine } from '../api/types'
import { usesOfMedia } from '../api/uses'
import WhereUsed from '../ui/WhereUsed.vue'
import { dayOf, fileSize, pixels, ratioText, seconds } from '../ui/format'

/** `dense`: on the bench, where many are to be seen at once. */
const props = defineProps<{ media: MediaLine; dense?: boolean }>()
const { t } = useI18n()
/** A video shows, while the pointer is over it, what comes so far into it. */
const over = ref(false)
const video = useTemplateRef<HTMLVideoElement>('video')
function scrub(event: PointerEvent): void {
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
  const share = Math.min(1, Math.max(0, (event.clientX - box.left) / box.width))
  if (video.value && !video.value.seeking) video.value.currentTime = (share * (props.media.duration_ms ?? 0)) / 1000
}
const facts = computed(() => {
  const { bytes, depth, alpha } = props.media
  const all = [fileSize(bytes), depth && t('stock.depth', { bits: String(depth) }), alpha && t('stock.alpha')]
  return all.filter(Boolean).join(' · ')
})
</script>

<template>
  <article class="media-card" :class="{ dense }" :data-media="media.id">
    <div class="frame" @pointerenter="over = true" @pointermove="scrub" @pointerleave="over = false">
      <img v-if="media.state === 'ready'" :src="`/media/${media.sha256}/thumbnail`" alt="" draggable="false" />
      <span v-else class="frame-word">{{ t(`stock.${media.state}`) }}</span>
      <video
        v-if="over && media.kind === 'video' && media.state === 'ready'"
        ref="video"
        :src="`/media/${media.sha256}/original`"
        muted
        preload="auto"
        aria-hidden="true" />
      <span v-if="media.duration_ms" class="duration">{{ seconds(media.duration_ms) }}</span>
    </div>
    <h3 v-b-tooltip="media.name">{{ media.name }}</h3>
    <p v-if="media.size && media.ratio" class="measure">{{ pixels(...media.size) }} · {{ ratioText(media.ratio) }}</p>
    <p v-if="media.font" class="measure">{{ media.font.family }} {{ media.font.weight }}</p>
    <p v-if="media.font" class="hint">{{ t(`stock.embedding-${media.font.embedding}`) }}</p>
    <p v-if="media.fault" class="refusal">{{ media.fault.message }} {{ media.fault.mend }}</p>
    <template v-if="!dense">
      <p v-if="media.original" class="hint">
        {{ t('stock.made-of', { codec: media.original.codec, size: fileSize(media.original.bytes) }) }}
        {{ media.original.why.map((one) => t(`stock.why-${one}`)).join(', ') }}.
      </p>
      <p class="hint">{{ media.uses ? facts : `${facts} · ${t('stock.uses', { count: 0 })}` }}</p>
      <WhereUsed v-if="media.uses" :text="t('stock.uses', { count: media.uses })" :load="() => usesOfMedia(media.id)" />
      <p v-if="media.notes.folder" class="hint">{{ media.notes.folder }}</p>
      <p v-if="media.notes.tags.length" class="tags">
        <span v-for="tag in media.notes.tags" :key="tag">{{ tag }}</span>
      </p>
      <p v-if="media.notes.licence" v-b-tooltip="media.notes.licence" class="hint licence">{{ media.notes.licence }}</p>
      <p v-if="media.notes.until" class="hint">{{ t('stock.until-day', { day: dayOf(media.notes.until) }) }}</p>
    </template>
    <div class="tools"><slot /></div>
  </article>
</template>

<style scoped>
.dense {
  padding: 0.25rem;
}
.dense .frame,
.dense .frame img {
  height: 64px;
  max-height: 64px;
}
.dense .tools :deep(.btn) {
  padding: 0 0.35rem;
  font-size: 0.75rem;
}
.dense h3 {
  -webkit-line-clamp: 1;
  margin-top: 0.2rem;
  font-size: 0.75rem;
}
.dense .tools {
  margin-top: 0.15rem;
  gap: 0.2rem;
}
.picked {
  outline: 2px solid var(--oxide);
  outline-offset: -2px;
}
.frame video {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  object-fit: contain;
  background: #0c1216;
}
.tags {
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem;
  margin: 0.2rem 0;
}
.tags span {
  padding: 0 0.35rem;
  border: 1px solid var(--edge);
  font-size: 0.75rem;
}
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem;
  margin-top: 0.3rem;
}
.licence {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
