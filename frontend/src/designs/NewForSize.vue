<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { call } from '../api/client'
import { useSession } from '../session/session'
import NumberField from '../surface/NumberField.vue'
import { provideRefusal } from '../surface/refusal'
import RefusalNote from '../ui/RefusalNote.vue'

/** A design for a size that no surface has yet. */
const { t } = useI18n()
const router = useRouter()
const session = useSession()
const id = crypto.randomUUID()
const name = ref('')
const width = ref<number | null>(1920)
const height = ref<number | null>(1080)
const pitch = ref<number | null>(0.5)
const error = ref<unknown>(null)
const unclaimed = provideRefusal(computed(() => error.value))

async function make(): Promise<void> {
  error.value = null
  try {
    const made = await call<{ design: string }>('POST', `/api/sites/${session.slug}/designs`, {
      design: id,
      name: name.value,
      canvas: { px: [width.value, height.value], pitch_mm: pitch.value },
    })
    await router.push({ name: 'bench', params: { design: made.design } })
  } catch (refused) {
    error.value = refused
  }
}
</script>

<template>
  <h2>{{ t('designs.for-size') }}</h2>
  <p class="hint">{{ t('designs.for-size-hint') }}</p>
  <form class="new-design" @submit.prevent="make">
    <label for="new-name">{{ t('elevation.name') }}</label>
    <BFormInput id="new-name" v-model="name" size="sm" required maxlength="120" />
    <div class="pair">
      <NumberField v-model="width" :label="t('bench.width')" path="/canvas/px/0" unit="px" />
      <NumberField v-model="height" :label="t('bench.height')" path="/canvas/px/1" unit="px" />
    </div>
    <NumberField v-model="pitch" :label="t('elevation.pitch')" path="/canvas/pitch_mm" unit="mm" />
    <RefusalNote :error="unclaimed" />
    <button class="btn btn-primary btn-sm" type="submit">{{ t('elevation.make') }}</button>
  </form>
  <h2>{{ t('designs.for-surface') }}</h2>
  <p class="hint">{{ t('designs.for-surface-hint') }}</p>
  <RouterLink class="btn btn-sm btn-outline-dark" :to="{ name: 'elevation' }">{{ t('bench.to-elevation') }}</RouterLink>
</template>
