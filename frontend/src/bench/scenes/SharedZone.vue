<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { ZoneDocument } from '../../api/types'
import { listed } from '../../ui/format'
import { useDesign } from '../store/design'

/** In which scenes the zone stands: changed in one, it changes in all; it can become its own here, or another's. */
const props = defineProps<{ zone: string; document: ZoneDocument; editable: boolean }>()
const { t } = useI18n()
const design = useDesign()
const others = computed(() => props.document.scenes.filter((one) => one !== design.scene).map((one) => design.scenes[one]?.name ?? ''))
const elsewhere = computed(() => design.answer?.elsewhere ?? [])

async function copy(): Promise<void> {
  const as = design.fresh('z')
  if (await design.send([{ do: 'zone.copy', scene: design.scene, zone: props.zone, as }])) design.selected = as
}
async function share(event: Event): Promise<void> {
  const to = (event.target as HTMLSelectElement).value
  if (to !== '' && (await design.send([{ do: 'zone.exchange', scene: design.scene, from: props.zone, to, zones: {} }])))
    design.selected = to
}
</script>

<template>
  <p v-if="others.length" class="shared-zone">
    {{ t('scene.shared', { letter: document.letter, count: others.length, names: others.join(', ') }) }}
    <button v-if="editable" type="button" class="plain" @click="copy">{{ t('scene.own-copy') }}</button>
  </p>
  <label v-if="editable && elsewhere.length">
    {{ t('scene.share') }}
    <BFormSelect size="sm" model-value="" @change="share">
      <option value="">{{ t('scene.share-none') }}</option>
      <option v-for="one in elsewhere" :key="one.id" :value="one.id">
        {{ one.letter }} {{ listed(one.name || t(`fill.${one.kind}`)) }}
      </option>
    </BFormSelect>
  </label>
</template>
