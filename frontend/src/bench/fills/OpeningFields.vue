<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Rect, ZonePlan } from '../../plan/types'
import { pixels } from '../../ui/format'
import { useFloats } from '../store/useFloats'

/** The transparent openings of art, and what can be laid under them. */
const props = defineProps<{ zone: ZonePlan }>()
const { t } = useI18n()
const floats = useFloats()
const openings = computed(() => {
  const item = props.zone.items[0]
  return item && 'openings' in item ? (item.openings ?? []) : []
})
/** Of art with holes all over, only the first are meant for zones. */
const MOST = 12
const covers = computed(() => openings.value.slice(0, MOST).map((one) => one.cover))
const under = (rect: Rect): void => void floats.placeUnder(props.zone.id, rect)
</script>

<template>
  <section v-if="openings.length && !zone.turn" class="openings" :aria-label="t('opening.title')">
    <h3>{{ t('opening.title') }}</h3>
    <template v-if="zone.float">
      <div v-for="(opening, index) in openings" :key="index" class="opening">
        <span class="measure">{{ index + 1 }} · {{ pixels(opening.cover[2], opening.cover[3]) }}</span>
        <button type="button" class="btn btn-sm btn-outline-dark" @click="under(opening.cover)">
          {{ t('opening.cover', { number: index + 1 }) }}
        </button>
        <button type="button" class="btn btn-sm btn-outline-dark" @click="under(opening.inside)">
          {{ t('opening.inside', { number: index + 1 }) }}
        </button>
      </div>
    </template>
    <template v-else>
      <p class="hint">{{ t('opening.in-pane') }}</p>
      <div class="opening">
        <button type="button" class="btn btn-sm btn-outline-dark" @click="floats.layOver(zone.id, covers)">
          {{ t('opening.lay-with', { count: covers.length }) }}
        </button>
        <button type="button" class="btn btn-sm btn-outline-dark" @click="floats.layOver(zone.id)">{{ t('opening.lay-over') }}</button>
      </div>
    </template>
  </section>
</template>

<style scoped>
.openings {
  margin-bottom: 0.8rem;
}
.opening {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.4rem;
  margin-bottom: 0.3rem;
}
</style>
