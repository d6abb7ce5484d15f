<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useUploads } from '../../stock/uploads'
import ColourField from '../fills/ColourField.vue'
import { useDesign } from '../store/design'
import MediaFields from '../fills/MediaFields.vue'
import { useScene } from './useScene'

/** What lies behind everything in the open scene: a colour, or a picture from the Stock. */
const { t } = useI18n()
const design = useDesign()
const stock = useUploads()
const scene = useScene()
const ground = computed(() => scene.scene.value?.ground_fill)
const colour = computed(() => (ground.value?.kind === 'colour' ? ground.value.colour : (ground.value?.ground ?? '#0C1216')))
const pictures = computed(() => stock.media.filter((one) => one.kind === 'picture' && one.state === 'ready'))
const choose = (event: Event): void => {
  const media = (event.target as HTMLSelectElement).value
  void (media === '' ? scene.setGround({ kind: 'colour', colour: colour.value }) : scene.pictureGround(media))
}
</script>

<template>
  <h3>{{ t('scene.ground') }}</h3>
  <p class="hint">{{ t('scene.ground-hint') }}</p>
  <label>
    {{ t('scene.ground-what') }}
    <select class="form-select form-select-sm" :value="ground?.kind === 'picture' ? ground.media : ''" @change="choose">
      <option value="">{{ t('fill.colour') }}</option>
      <option v-for="one in pictures" :key="one.id" :value="one.id">{{ one.name }}</option>
    </select>
  </label>
  <ColourField
    v-if="ground?.kind === 'colour'"
    :label="t('fill.colour-label')"
    :value="ground.colour"
    @set="(wanted) => scene.setGround({ kind: 'colour', colour: wanted })" />
  <MediaFields
    v-else-if="ground"
    :key="design.scene"
    :fill="ground"
    :item="undefined"
    plain
    @set="(part) => ground?.kind === 'picture' && scene.setGround({ ...ground, ...part, kind: 'picture' })" />
</template>
