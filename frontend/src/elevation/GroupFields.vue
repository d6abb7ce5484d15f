<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import UndoButtons from '../document/UndoButtons.vue'
import { useBook } from '../surface/book'
import { goOn } from '../ui/focus'
import RefusalNote from '../ui/RefusalNote.vue'

/** The site's groups: what they are called and in which order. A surface joins one in its own sheet. */
const { t } = useI18n()
const book = useBook()
const name = ref('')
const field = (id: string): HTMLElement | null => document.getElementById(`group-${id}`)

async function add(): Promise<void> {
  const added = await book.add(name.value.trim())
  if (added) name.value = ''
}
const remove = (id: string): Promise<void> =>
  goOn(
    () => book.remove(id).then(() => undefined),
    () => field(id) ?? document.getElementById('new-group'),
  )
const lift = (id: string, index: number): Promise<void> =>
  goOn(
    () => book.lift(index).then(() => undefined),
    () => field(id),
  )
</script>

<template>
  <section class="groups-of-site">
    <div class="head-with-buttons">
      <h2>{{ t('elevation.groups') }}</h2>
      <UndoButtons :undo="book.undo" @step="book.step" />
    </div>
    <p class="hint">{{ t('elevation.groups-hint') }}</p>
    <RefusalNote :error="book.error" />
    <div v-for="(group, index) in book.groups" :key="group.id" class="field-row">
      <BFormInput
        :id="`group-${group.id}`"
        size="sm"
        :model-value="group.name"
        maxlength="60"
        required
        :aria-label="t('elevation.group-name', { name: group.name })"
        @change="book.rename(group.id, ($event.target as HTMLInputElement).value)" />
      <button
        type="button"
        class="btn btn-sm btn-outline-dark fixed"
        :disabled="index === 0"
        :aria-label="t('elevation.group-up', { name: group.name })"
        @click="lift(group.id, index)">
        {{ t('elevation.up') }}
      </button>
      <button
        type="button"
        class="btn btn-sm btn-outline-dark fixed"
        :aria-label="t('elevation.group-remove', { name: group.name })"
        @click="remove(group.id)">
        {{ t('elevation.remove') }}
      </button>
    </div>
    <form class="field-row" @submit.prevent="add">
      <label>
        {{ t('elevation.new-group') }}
        <BFormInput id="new-group" v-model="name" size="sm" required maxlength="60" />
      </label>
      <button type="submit" class="btn btn-sm btn-outline-dark fixed">{{ t('elevation.add-group') }}</button>
    </form>
  </section>
</template>

<style scoped>
.groups-of-site {
  margin-top: 1.5rem;
}
.head-with-buttons {
  display: flex;
  align-items: center;
  gap: 0.5rem;
}
.head-with-buttons h2 {
  margin: 0;
  flex: 1;
}
</style>
