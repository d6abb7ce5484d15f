<script setup lang="ts">
import { vBTooltip } from 'bootstrap-vue-next'
import { useI18n } from 'vue-i18n'
import type { MediaLine } from '../api/types'
import { fileSize, pixels, ratioText, seconds } from '../ui/format'

defineProps<{ media: MediaLine }>()
const { t } = useI18n()
</script>

<template>
  <article class="media-card" :data-media="media.id">
    <div class="frame">
      <img v-if="media.state === 'ready'" :src="`/media/${media.sha256}/thumbnail`" alt="" draggable="false" />
      <span v-else class="frame-word">{{ t(`stock.${media.state}`) }}</span>
      <span v-if="media.duration_ms" class="duration">{{ seconds(media.duration_ms) }}</span>
    </div>
    <h3 v-b-tooltip="media.name">{{ media.name }}</h3>
    <p v-if="media.size && media.ratio" class="measure">{{ pixels(...media.size) }} · {{ ratioText(media.ratio) }}</p>
    <p v-if="media.fault" class="refusal">{{ media.fault.message }} {{ media.fault.mend }}</p>
    <p v-if="media.original" class="hint">
      {{ t('stock.made-of', { codec: media.original.codec, size: fileSize(media.original.bytes) }) }}
      {{ media.original.why.map((one) => t(`stock.why-${one}`)).join(', ') }}.
    </p>
    <p class="hint">
      {{ fileSize(media.bytes) }} ·
      <span v-b-tooltip="media.used_in?.join(', ')">{{ t('stock.uses', { count: media.uses }) }}</span>
    </p>
    <slot />
  </article>
</template>
