<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Elevation } from '../api/surfaces'
import MendButton from '../document/MendButton.vue'
import { useSession } from '../session/session'
import { useBook } from '../surface/book'
import { useSurfaces } from '../surface/surfaces'
import { goOn } from '../ui/focus'
import { pixels } from '../ui/format'
import GroupFields from './GroupFields.vue'

/** Nothing is chosen: all surfaces, by group, and what was archived. */
const props = defineProps<{ elevation: Elevation }>()
const emit = defineEmits<{ choose: [code: string]; mended: [] }>()
const { t } = useI18n()
const session = useSession()
const surfaces = useSurfaces()
const book = useBook()
const groups = computed(() => book.groups)
const inGroup = (group: string | null): Elevation['surfaces'] =>
  props.elevation.surfaces.filter((one) => (group === null ? !one.groups.some((id) => book.named(id)) : one.groups.includes(group)))

async function restore(code: string): Promise<void> {
  surfaces.error = null
  await goOn(
    () => surfaces.archive(code, false, false).catch((refused: unknown) => void (surfaces.error = refused)),
    () => document.querySelector<HTMLElement>(`[data-surface="${code}"]`),
  )
}
</script>

<template>
  <p class="hint">{{ t('elevation.pick') }}</p>
  <template v-for="group in [...groups, null]" :key="group?.id ?? ''">
    <template v-if="inGroup(group?.id ?? null).length">
      <h2>{{ group?.name ?? t(groups.length ? 'elevation.no-group' : 'elevation.surfaces') }}</h2>
      <ul class="lines">
        <li v-for="one in inGroup(group?.id ?? null)" :key="one.code">
          <button type="button" class="line" @click="emit('choose', one.code)">
            <span>{{ one.name }}</span>
            <span class="measure">{{ pixels(...one.canvas) }}</span>
          </button>
        </li>
      </ul>
    </template>
  </template>
  <template v-if="elevation.unreadable.length">
    <h2>{{ t('elevation.unreadable') }}</h2>
    <ul class="lines">
      <li v-for="one in elevation.unreadable" :key="one.code" class="line">
        <span>{{ one.name }}</span>
        <span class="hint">{{ one.why?.message }} {{ one.why?.mend }}</span>
        <MendButton v-if="session.may('mount')" :document="one.document" @mended="emit('mended')" />
      </li>
    </ul>
  </template>
  <template v-if="elevation.archived.length">
    <h2>{{ t('elevation.archived') }}</h2>
    <ul class="lines">
      <li v-for="one in elevation.archived" :key="one.code" class="line">
        <span>{{ one.name }}</span>
        <button v-if="session.may('mount')" type="button" class="plain" :data-restore="one.code" @click="restore(one.code)">
          {{ t('elevation.restore') }}
        </button>
      </li>
    </ul>
  </template>
  <GroupFields v-if="elevation.book && session.may('mount')" />
</template>
