<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next'
import { computed, onMounted, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { removeDocument } from '../api/documents'
import { usesOfDocument } from '../api/uses'
import ConflictChoice from '../document/ConflictChoice.vue'
import RemovedList from '../document/RemovedList.vue'
import UndoButtons from '../document/UndoButtons.vue'
import { useListening } from '../document/useListening'
import { useSession } from '../session/session'
import { goOn } from '../ui/focus'
import RefusalNote from '../ui/RefusalNote.vue'
import WhereUsed from '../ui/WhereUsed.vue'
import { useUndoKeys } from '../ui/useUndoKeys'
import ContrastTable from './ContrastTable.vue'
import StyleColours from './StyleColours.vue'
import { useStyles } from './styles'
import StyleMark from './StyleMark.vue'
import StyleSpaces from './StyleSpaces.vue'
import StyleTypes from './StyleTypes.vue'
import TokenFile from './TokenFile.vue'

const { t } = useI18n()
const route = useRoute()
const router = useRouter()
const styles = useStyles()
const session = useSession()
const name = ref('')
const error = ref<unknown>(null)
const id = computed(() => (typeof route.params['style'] === 'string' ? route.params['style'] : ''))
const show = (style: string): void => void router.replace({ name: 'styles', params: { ...route.params, style } })

async function make(like: string | null): Promise<void> {
  error.value = null
  try {
    show(await styles.make(name.value.trim(), like))
    name.value = ''
  } catch (refused) {
    error.value = refused
  }
}
const gone = ref<InstanceType<typeof RemovedList>>()
const field = (): HTMLElement | null => document.getElementById('style-new')
/** What uses it is named when it is refused; else it waits in the list below for a month. */
async function remove(): Promise<void> {
  error.value = null
  await goOn(async () => {
    try {
      await removeDocument(id.value)
      await styles.load()
      styles.close()
      show(styles.list[0]?.id ?? '')
    } catch (refused) {
      error.value = refused
    }
    await gone.value?.load()
  }, field)
}
async function came(style: string): Promise<void> {
  await styles.load()
  show(style)
}
onMounted(async () => {
  await styles.load()
  if (!id.value && styles.list[0]) show(styles.list[0].id)
})
watch(
  id,
  (wanted) => {
    if (wanted) void styles.open(wanted).catch((refused: unknown) => (error.value = refused))
  },
  { immediate: true },
)
useUndoKeys((kind) => void styles.step(kind))
useListening(styles.listen)
</script>

<template>
  <section class="styles">
    <div class="place-head">
      <h1>{{ t('style.title') }}</h1>
      <RouterLink class="plain" :to="{ name: 'stock' }">{{ t('place.stock') }}</RouterLink>
      <span class="spring" />
      <template v-if="session.may('design')">
        <label class="visually-hidden" for="style-new">{{ t('style.new') }}</label>
        <BFormInput id="style-new" v-model="name" size="sm" maxlength="120" :placeholder="t('style.new')" @keydown.enter="make(null)" />
        <button type="button" class="btn btn-sm btn-primary" :disabled="!name.trim()" @click="make(null)">{{ t('style.make') }}</button>
        <button type="button" class="btn btn-sm btn-outline-dark" :disabled="!name.trim() || !id" @click="make(id)">
          {{ t('style.like') }}
        </button>
      </template>
    </div>
    <RefusalNote :error="error ?? styles.refusal" />
    <p v-if="styles.loaded && !styles.list.length" class="empty-state">{{ t('style.none') }}</p>
    <div v-else class="styles-body">
      <nav :aria-label="t('style.title')">
        <ul class="lines">
          <li v-for="one in styles.list" :key="one.id" class="line">
            <RouterLink
              class="style-line"
              :to="{ name: 'styles', params: { ...route.params, style: one.id } }"
              :aria-current="one.id === id ? 'page' : undefined">
              {{ one.name }}
              <span class="chips" aria-hidden="true">
                <i v-for="(colour, key) in one.colours" :key="key" :style="{ background: colour.hex }" />
              </span>
            </RouterLink>
          </li>
        </ul>
        <RemovedList ref="gone" kind="style" :after="field" @back="came" />
      </nav>
      <div v-if="styles.whole" class="style-work">
        <div class="style-head">
          <label>
            {{ t('style.name') }}
            <BFormInput
              size="sm"
              maxlength="120"
              :model-value="styles.whole.name"
              :disabled="!session.may('design')"
              @change="styles.rename(($event.target as HTMLInputElement).value)" />
          </label>
          <UndoButtons :undo="styles.undo" @step="(kind) => styles.step(kind)" />
          <WhereUsed :key="id" :text="t('uses.where')" :load="() => usesOfDocument(id)" />
          <TokenFile />
          <button v-if="session.may('design')" type="button" class="btn btn-sm btn-outline-dark" @click="remove">
            {{ t('style.remove-style') }}
          </button>
        </div>
        <StyleColours />
        <StyleTypes />
        <StyleSpaces />
        <StyleMark />
        <ContrastTable />
      </div>
    </div>
    <ConflictChoice v-if="styles.conflict" :problem="styles.conflict" @choose="styles.resolve" />
  </section>
</template>

<style scoped>
.styles {
  padding-bottom: 2rem;
}
.styles-body,
.empty-state {
  padding: 0 1rem;
}
.style-work :deep(legend),
.style-work :deep(h2) {
  margin: 1.2rem 0 0.5rem;
  font-size: 1rem;
  font-weight: 600;
}
.style-work :deep(.btn) {
  margin-top: 0.4rem;
}
.styles-body {
  display: grid;
  grid-template-columns: 15rem minmax(0, 1fr);
  gap: 2rem;
}
.style-line {
  display: block;
  padding: 0.45rem 0.6rem;
  color: inherit;
  text-decoration: none;
  border-left: 3px solid transparent;
}
.style-line[aria-current] {
  border-color: var(--oxide);
  font-weight: 600;
}
.chips {
  display: flex;
  height: 8px;
  margin-top: 4px;
}
.chips i {
  flex: 0 1 1.5rem;
}
.style-head {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 0.6rem;
}
.style-head label,
.style-head :deep(.btn) {
  margin-bottom: 0;
}
@media (max-width: 60rem) {
  .styles-body {
    grid-template-columns: 1fr;
  }
}
</style>
