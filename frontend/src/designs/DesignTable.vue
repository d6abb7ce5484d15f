<script setup lang="ts">
import { BTableSimple, BTbody, BTd, BTh, BThead, BTr } from 'bootstrap-vue-next'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { call } from '../api/client'
import type { DesignLine } from '../api/designs'
import { removeDocument } from '../api/documents'
import { useSession } from '../session/session'
import { listed, pixels, timeOfDay } from '../ui/format'

defineProps<{ designs: DesignLine[]; zone: string }>()
const emit = defineEmits<{ changed: []; failed: [refused: unknown] }>()
const { t } = useI18n()
const router = useRouter()
const session = useSession()

async function attempt(work: () => Promise<void>): Promise<void> {
  try {
    await work()
  } catch (refused) {
    emit('failed', refused)
  }
}
const duplicate = (design: DesignLine): Promise<void> =>
  attempt(async () => {
    const name = t('designs.copy-of', { name: design.name }).slice(0, 120)
    const made = await call<{ design: string }>('POST', `/api/designs/${design.id}/duplicate`, { design: crypto.randomUUID(), name })
    await router.push({ name: 'bench', params: { design: made.design } })
  })
const remove = (design: DesignLine): Promise<void> =>
  attempt(async () => {
    await removeDocument(design.id)
    emit('changed')
  })
const archive = (design: DesignLine): Promise<void> =>
  attempt(async () => {
    await call('POST', `/api/documents/${design.id}/batches`, {
      batch: crypto.randomUUID(),
      client: crypto.randomUUID(),
      revision: design.revision,
      commands: [{ do: 'design.archive', archived: !design.archived }],
    })
    emit('changed')
  })
</script>

<template>
  <BTableSimple small hover responsive class="design-table">
    <BThead>
      <BTr>
        <BTh v-for="head in ['name', 'for', 'size', 'changed']" :key="head" scope="col">{{ t(`designs.${head}`) }}</BTh>
        <BTh>
          <span class="visually-hidden">{{ t('designs.actions') }}</span>
        </BTh>
      </BTr>
    </BThead>
    <BTbody>
      <BTr v-for="design in designs" :key="design.id" :data-design="design.id">
        <BTh scope="row">
          <RouterLink :to="{ name: 'bench', params: { design: design.id } }">{{ design.name }}</RouterLink>
        </BTh>
        <BTd>
          {{ design.surfaces.length ? listed(design.surfaces[0], design.area) : t('designs.nowhere') }}
          <span v-if="design.surfaces.length > 1" class="hint" :title="design.surfaces.slice(1).join(', ')">
            {{ t('designs.and-more', { count: design.surfaces.length - 1 }) }}
          </span>
        </BTd>
        <BTd class="measure">{{ pixels(...design.canvas) }}</BTd>
        <BTd>
          {{ timeOfDay(design.changed_at, zone) }}
          <span class="hint">{{ listed(design.changed_by, t('elevation.revision', { revision: String(design.revision) })) }}</span>
        </BTd>
        <BTd class="row-actions">
          <template v-if="session.may('design')">
            <button type="button" class="plain" :aria-label="t('designs.duplicate-one', { name: design.name })" @click="duplicate(design)">
              {{ t('designs.duplicate') }}
            </button>
            <button
              type="button"
              class="plain"
              :aria-label="t(design.archived ? 'designs.restore-one' : 'designs.archive-one', { name: design.name })"
              @click="archive(design)">
              {{ t(design.archived ? 'elevation.restore' : 'designs.archive') }}
            </button>
            <button
              v-if="design.archived"
              type="button"
              class="plain"
              :aria-label="t('removed.remove-one', { name: design.name })"
              @click="remove(design)">
              {{ t('removed.remove') }}
            </button>
          </template>
        </BTd>
      </BTr>
    </BTbody>
  </BTableSimple>
</template>
