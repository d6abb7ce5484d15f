<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next'
import { useI18n } from 'vue-i18n'
import { useSession } from '../session/session'
import { useStyles } from './styles'

const { t } = useI18n()
const styles = useStyles()
const session = useSession()
const value = (event: Event): string => (event.target as HTMLInputElement).value
const add = (): void => void styles.setColour(`c-${crypto.randomUUID().slice(0, 8)}`, { name: t('style.fresh-colour'), hex: '#276B62' })
</script>

<template>
  <fieldset :disabled="!session.may('design')">
    <legend>{{ t('style.colours') }}</legend>
    <ul class="lines colours">
      <li v-for="(colour, id) in styles.whole?.colours" :key="id" class="colour-line">
        <input
          type="color"
          :aria-label="colour.name"
          :value="colour.hex.toLowerCase()"
          @change="styles.setColour(String(id), { hex: value($event) })" />
        <BFormInput
          size="sm"
          maxlength="60"
          :aria-label="t('style.name')"
          :model-value="colour.name"
          @change="styles.setColour(String(id), { name: value($event) })" />
        <BFormInput
          size="sm"
          class="measure hex"
          :aria-label="`${colour.name} #`"
          :model-value="colour.hex"
          @change="styles.setColour(String(id), { hex: value($event) })" />
        <button
          type="button"
          class="plain"
          :aria-label="t('style.remove', { name: colour.name })"
          @click="styles.setColour(String(id), null)">
          ×
        </button>
      </li>
    </ul>
    <button v-if="session.may('design')" type="button" class="btn btn-sm btn-outline-dark" @click="add">{{ t('style.add-colour') }}</button>
  </fieldset>
</template>

<style scoped>
.colours {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(19rem, 1fr));
  gap: 0.4rem 1.5rem;
}
.colour-line {
  display: flex;
  align-items: center;
  gap: 0.4rem;
}
.hex {
  flex: 0 0 6.5rem;
}
</style>
