<script setup lang="ts">
import { BFormInput, BFormSelect } from 'bootstrap-vue-next'
import { watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { faceName, loadFace } from '../plan/faces'
import { useSession } from '../session/session'
import { useFaces } from '../stock/useFaces'
import { useStyles, type TypeStep } from './styles'

const { t } = useI18n()
const styles = useStyles()
const session = useSession()
const { faces, families, weights, inFamily } = useFaces()
const value = (event: Event): string => (event.target as HTMLInputElement).value
const set = (id: string | number, part: Partial<TypeStep>): void => void styles.setType(String(id), part)
const family = (id: string | number, step: TypeStep, font: string): void => set(id, inFamily(font, step.weight))
const add = (): void =>
  void styles.setType(`t-${crypto.randomUUID().slice(0, 8)}`, {
    name: t('style.fresh-type'),
    font: 'Roboto',
    weight: 500,
    size: 72,
    line_height: 1200,
  })
/** Samples are drawn in the very faces. */
watch(
  [() => styles.whole?.types, faces],
  ([types]) => {
    for (const step of Object.values(types ?? {})) {
      const face = faces.value.find((one) => one.family === step.font && one.weight === step.weight)
      if (face) void loadFace(face).catch(() => undefined)
    }
  },
  { immediate: true },
)
</script>

<template>
  <fieldset :disabled="!session.may('design')">
    <legend>{{ t('style.types') }}</legend>
    <div v-for="(step, id) in styles.whole?.types" :key="id" class="type-line">
      <label>
        {{ t('style.name') }}
        <BFormInput size="sm" maxlength="60" :model-value="step.name" @change="set(id, { name: value($event) })" />
      </label>
      <label>
        {{ t('fill.font') }}
        <BFormSelect size="sm" :model-value="step.font" @change="family(id, step, value($event))">
          <option v-for="one in families" :key="one">{{ one }}</option>
        </BFormSelect>
      </label>
      <label>
        {{ t('fill.weight') }}
        <BFormSelect size="sm" :model-value="step.weight" @change="set(id, { weight: Number(value($event)) })">
          <option v-for="one in weights(step.font)" :key="one">{{ one }}</option>
        </BFormSelect>
      </label>
      <label>
        {{ t('fill.size') }} px
        <BFormInput
          size="sm"
          type="number"
          min="1"
          max="4000"
          :model-value="step.size"
          @change="set(id, { size: Math.round(Number(value($event))) })" />
      </label>
      <span
        class="sample"
        aria-hidden="true"
        :style="{ fontFamily: `'${faceName(step.font)}'`, fontWeight: step.weight, fontSize: `${Math.min(40, step.size / 3)}px` }">
        {{ t('style.sample') }}
      </span>
      <button type="button" class="plain" :aria-label="t('style.remove', { name: step.name })" @click="styles.setType(String(id), null)">
        ×
      </button>
    </div>
    <button v-if="session.may('design')" type="button" class="btn btn-sm btn-outline-dark" @click="add">{{ t('style.add-type') }}</button>
  </fieldset>
</template>

<style scoped>
.type-line {
  display: grid;
  grid-template-columns: 9rem 11rem 5.5rem 5.5rem minmax(0, 1fr) auto;
  align-items: center;
  gap: 0.5rem;
  margin-bottom: 0.5rem;
}
.sample {
  overflow: hidden;
  white-space: nowrap;
  line-height: 1.1;
}
</style>
