<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useSession } from '../session/session'
import { useStyles } from './styles'

/** Named distances: texts whose padding is one follow it. */
const { t } = useI18n()
const styles = useStyles()
const session = useSession()
const spaces = computed(() => styles.whole?.spaces ?? {})
const free = computed(() => session.may('design'))
const typed = (event: Event): string => (event.target as HTMLInputElement).value
function add(): void {
  const number = String(Object.keys(spaces.value).length + 1)
  void styles.setSpace(`d-${crypto.randomUUID().slice(0, 8)}`, { name: t('style.fresh-space', { number }), px: 24 })
}
</script>

<template>
  <fieldset class="style-spaces">
    <legend>{{ t('style.spaces') }}</legend>
    <div v-for="(space, id, index) in spaces" :key="id" class="space-row">
      <BFormInput
        size="sm"
        maxlength="60"
        :aria-label="t('style.space-name', { number: String(index + 1) })"
        :model-value="space.name"
        :disabled="!free"
        @change="styles.setSpace(String(id), { name: typed($event) })" />
      <BFormInput
        size="sm"
        class="measure"
        type="number"
        min="0"
        max="2000"
        :aria-label="t('style.space-px', { name: space.name })"
        :model-value="space.px"
        :disabled="!free"
        @change="styles.setSpace(String(id), { px: Math.round(Number(typed($event))) })" />
      <span class="hint">px</span>
      <button
        v-if="free"
        type="button"
        class="plain"
        :aria-label="t('style.space-away', { name: space.name })"
        @click="styles.setSpace(String(id), null)">
        ×
      </button>
    </div>
    <button v-if="free" type="button" class="btn btn-sm btn-outline-dark" @click="add">{{ t('style.new-space') }}</button>
  </fieldset>
</template>

<style scoped>
.space-row {
  display: grid;
  grid-template-columns: 14rem 6rem auto auto 1fr;
  align-items: center;
  gap: 0.4rem;
  margin-bottom: 0.3rem;
}
</style>
