<script setup lang="ts">
import { BFormCheckbox } from 'bootstrap-vue-next'
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { plansOn, type SurfaceSheet } from '../../api/designs'
import { elevationOf } from '../../api/sites'
import type { SurfaceLine } from '../../api/surfaces'
import FindingLines from '../../ui/FindingLines.vue'
import FindingMark from '../../ui/FindingMark.vue'
import type { Plan } from '../../plan/types'
import { fileSize, pixels } from '../../ui/format'
import PlanStill from '../../ui/PlanStill.vue'
import { useDesign } from '../store/design'
import { worstOf } from '../../ui/severity'

/** For which surfaces a release is made: each with what it will show there and what is found. */
const codes = defineModel<string[]>({ required: true })
const { t } = useI18n()
const design = useDesign()
const surfaces = ref<SurfaceLine[]>([])
const sheets = shallowRef<Record<string, SurfaceSheet>>({})
const error = ref<unknown>(null)
const AT_ONCE = 24
const chosen = (code: string): boolean => codes.value.includes(code)
/** Those that it is meant for first, each as it stands on the wall. */
const ordered = computed(() => [...surfaces.value.filter((one) => meant(one.code)), ...surfaces.value.filter((one) => !meant(one.code))])
const meant = (code: string): boolean => code === design.answer?.surface?.code || (design.answer?.surfaces.includes(code) ?? false)
const worst = (sheet: SurfaceSheet) => worstOf(sheet.findings)
/** What its players will have to fetch. */
function weight(plan: Plan): string {
  const items = Object.values(plan.scenes).flatMap((scene) => scene.zones.flatMap((zone) => zone.items))
  const made = new Map(items.flatMap((item) => ('delivered' in item && item.delivered ? [[item.sha256, item.delivered]] : [])))
  const saved = [...made.values()].reduce((sum, one) => sum + one.of - one.bytes, 0)
  const all = t('release.weight', { size: fileSize(plan.media.reduce((sum, one) => sum + one.bytes, 0)) })
  if (plan.media.length === 0) return t('release.weightless')
  return saved > 0 ? `${all}, ${t('release.saved', { size: fileSize(saved) })}` : all
}
const toggle = (code: string, on: boolean): void =>
  void (codes.value = on ? [...codes.value, code] : codes.value.filter((one) => one !== code))

watch(
  codes,
  async (wanted) => {
    const missing = wanted.filter((code) => !sheets.value[code])
    for (let from = 0; from < missing.length; from += AT_ONCE) {
      const some = missing.slice(from, from + AT_ONCE)
      try {
        const plans = await plansOn(design.id, some)
        sheets.value = { ...sheets.value, ...Object.fromEntries(plans.map((one) => [one.surface.code, one])) }
      } catch (refused) {
        error.value = refused
      }
    }
  },
  { immediate: true },
)
onMounted(async () => {
  const site = design.answer?.surface?.site ?? ''
  surfaces.value = (await elevationOf(site).catch(() => null))?.surfaces ?? []
})
</script>

<template>
  <fieldset class="release-surfaces">
    <legend>{{ t('release.for') }}</legend>
    <div v-for="one in ordered" :key="one.code" class="release-surface" :data-for="one.code">
      <BFormCheckbox :model-value="chosen(one.code)" @update:model-value="(on) => toggle(one.code, on === true)">
        {{ one.name }}
        <span class="measure hint">{{ pixels(...one.canvas) }}</span>
      </BFormCheckbox>
      <template v-if="chosen(one.code) && sheets[one.code]">
        <PlanStill :plan="sheets[one.code]!.plan" :width="150" :height="84" />
        <span class="hint measure">{{ weight(sheets[one.code]!.plan) }}</span>
        <details v-if="sheets[one.code]!.findings.length">
          <summary>
            <FindingMark v-if="worst(sheets[one.code]!)" :severity="worst(sheets[one.code]!)!" />
            {{ t('beside.findings', { count: sheets[one.code]!.findings.length }) }}
          </summary>
          <FindingLines :findings="sheets[one.code]!.findings" />
        </details>
        <span v-else class="hint">{{ t('preflight.verdict-clear') }}</span>
      </template>
    </div>
  </fieldset>
</template>
