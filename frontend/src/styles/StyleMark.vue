<script setup lang="ts">
import { BFormInput, BFormSelect } from 'bootstrap-vue-next'
import { computed, onMounted } from 'vue'
import { useI18n } from 'vue-i18n'
import { useSession } from '../session/session'
import { useUploads } from '../stock/uploads'
import { CORNERS, useStyles, type CornerMark } from './styles'

/** The picture in a corner of every scene. */
const { t } = useI18n()
const styles = useStyles()
const stock = useUploads()
const session = useSession()
const mark = computed(() => styles.whole?.mark ?? null)
const pictures = computed(() => stock.media.filter((one) => one.kind === 'picture' && one.state === 'ready'))
const FRESH = { corner: 'top-right', width: 150, margin: 40 } as const
const typed = (event: Event): string => (event.target as HTMLInputElement | HTMLSelectElement).value
function choose(event: Event): void {
  const media = typed(event)
  void styles.setMark(media === '' ? null : { ...FRESH, ...mark.value, media })
}
const set = (part: Partial<CornerMark>): void => void (mark.value && styles.setMark({ ...mark.value, ...part }))
const thousandths = (event: Event): number => Math.round(Number(typed(event)) * 10)
onMounted(() => void (stock.loaded || stock.load()))
</script>

<template>
  <fieldset :disabled="!session.may('design')">
    <legend>{{ t('style.mark') }}</legend>
    <p class="hint">{{ t('style.mark-hint') }}</p>
    <div class="mark-row">
      <label>
        {{ t('style.mark-media') }}
        <BFormSelect size="sm" :model-value="mark?.media ?? ''" @change="choose">
          <option value="">{{ t('style.mark-none') }}</option>
          <option v-for="one in pictures" :key="one.id" :value="one.id">{{ one.name }}</option>
        </BFormSelect>
      </label>
      <template v-if="mark">
        <label>
          {{ t('style.mark-corner') }}
          <BFormSelect
            size="sm"
            :model-value="mark.corner"
            @change="(event: Event) => set({ corner: typed(event) as CornerMark['corner'] })">
            <option v-for="one in CORNERS" :key="one" :value="one">{{ t(`style.${one}`) }}</option>
          </BFormSelect>
        </label>
        <label>
          {{ t('style.mark-width') }}
          <BFormInput
            size="sm"
            class="measure"
            type="number"
            min="1"
            max="90"
            step="0.1"
            :model-value="mark.width / 10"
            @change="(event: Event) => set({ width: thousandths(event) })" />
        </label>
        <label>
          {{ t('style.mark-margin') }}
          <BFormInput
            size="sm"
            class="measure"
            type="number"
            min="0"
            max="40"
            step="0.1"
            :model-value="mark.margin / 10"
            @change="(event: Event) => set({ margin: thousandths(event) })" />
        </label>
      </template>
    </div>
  </fieldset>
</template>

<style scoped>
.mark-row {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
}
</style>
