<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { pastOf, type Past } from '../../api/designs'
import type { DatedPlan, Rect } from '../../plan/types'
import PlanStill from '../../ui/PlanStill.vue'
import RefusalNote from '../../ui/RefusalNote.vue'
import { useDesign } from '../store/design'

/** An earlier revision as it was drawn, with the zones of now dashed over it, and in words what is different. */
const props = defineProps<{ revision: number }>()
const emit = defineEmits<{ away: [] }>()
const { t } = useI18n()
const design = useDesign()

const past = ref<Past | null>(null)
const error = ref<unknown>(null)
const WIDTH = 312
const HEIGHT = 260

watch(
  () => [props.revision, design.revision],
  async () => {
    error.value = null
    const asked = props.revision
    try {
      const answer = await pastOf(design.id, asked)
      if (asked === props.revision) past.value = answer
    } catch (refused) {
      error.value = refused
    }
  },
  { immediate: true },
)
/** The scene that is on the bench, or the first one of then. */
const plan = computed(() => {
  const then = past.value?.plan
  if (!then) return null
  const scene = then.scenes[design.scene] ? design.scene : (then.round.scenes[0]?.scene ?? '')
  return { ...then, round: { scenes: [{ scene, ms: null }], cycle_ms: null } } as DatedPlan
})
const words = (line: Past['differences'][number]): string => {
  const of = line.letter ?? line.name ?? ''
  const what = t(`difference.${line.what}-${line.change}`)
  const sizes = line.was && line.is ? ` (${size(line.was)} → ${size(line.is)})` : ''
  return of ? `${of}: ${what}${sizes}` : what
}
const size = ([x, y, width, height]: Rect): string => t('difference.rect', { x, y, width, height })
const editable = computed(() => design.mayChange)

async function restore(): Promise<void> {
  if (await design.restore(props.revision)) emit('away')
}
</script>

<template>
  <section class="past" :aria-label="t('past.title', { revision: String(revision) })">
    <h3>{{ t('past.title', { revision: String(revision) }) }}</h3>
    <RefusalNote :error="error" />
    <template v-if="plan && past">
      <div class="past-drawing">
        <PlanStill :plan="plan" :width="WIDTH" :height="HEIGHT" />
        <svg class="past-now" :viewBox="`0 0 ${plan.canvas[0]} ${plan.canvas[1]}`" aria-hidden="true">
          <rect
            v-for="zone in design.plans"
            :key="zone.id"
            :x="zone.rect[0]"
            :y="zone.rect[1]"
            :width="zone.rect[2]"
            :height="zone.rect[3]"
            :transform="`rotate(${zone.turn / 100} ${zone.rect[0] + zone.rect[2] / 2} ${zone.rect[1] + zone.rect[3] / 2})`" />
        </svg>
      </div>
      <p class="hint">{{ t('past.legend') }}</p>
      <p v-if="!past.differences.length" class="hint">{{ t('past.same') }}</p>
      <template v-else>
        <h4>{{ t('past.since') }}</h4>
        <ul class="lines">
          <li v-for="(line, index) in past.differences" :key="index" class="line">{{ words(line) }}</li>
        </ul>
      </template>
      <div class="button-row">
        <button v-if="editable && past.differences.length" type="button" class="btn btn-sm btn-primary" @click="restore">
          {{ t('past.restore', { revision: String(revision) }) }}
        </button>
        <button type="button" class="btn btn-sm btn-outline-dark" @click="emit('away')">{{ t('past.away') }}</button>
      </div>
    </template>
  </section>
</template>
