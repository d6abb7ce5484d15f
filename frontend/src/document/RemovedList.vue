<script setup lang="ts">
import { onMounted, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { bringBack, removed, type Removed } from '../api/documents'
import { useSession } from '../session/session'
import { goOn } from '../ui/focus'
import { listed } from '../ui/format'
import RefusalNote from '../ui/RefusalNote.vue'

/** What was removed of one kind of document in the last month, to be brought back. */
const props = defineProps<{ kind: string; after: () => HTMLElement | null }>()
const emit = defineEmits<{ back: [id: string] }>()
const { t } = useI18n()
const session = useSession()
const gone = ref<Removed[]>([])
const error = ref<unknown>(null)

async function load(): Promise<void> {
  gone.value = (await removed(session.slug).catch(() => [])).filter((one) => one.kind === props.kind)
}
async function back(one: Removed): Promise<void> {
  await goOn(async () => {
    try {
      await bringBack(one.id)
      error.value = null
      emit('back', one.id)
    } catch (refused) {
      error.value = refused
    }
    await load()
  }, props.after)
}
onMounted(load)
watch(() => session.slug, load)
defineExpose({ load })
</script>

<template>
  <section v-if="gone.length" class="removed-list">
    <h2>{{ t('removed.title') }}</h2>
    <RefusalNote :error="error" />
    <ul class="lines">
      <li v-for="one in gone" :key="one.id" class="line">
        <span>
          {{ one.name }}
          <span class="hint">{{ listed(one.by, t('removed.days', { count: one.days })) }}</span>
        </span>
        <button
          v-if="session.may('design')"
          type="button"
          class="plain"
          :aria-label="t('removed.back-one', { name: one.name })"
          @click="back(one)">
          {{ t('removed.back') }}
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.removed-list {
  margin-top: 1.5rem;
  max-width: 40rem;
}
.removed-list h2 {
  font-size: 1rem;
}
</style>
