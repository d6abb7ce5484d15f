<script setup lang="ts">
import { BFormCheckbox } from 'bootstrap-vue-next'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { metres } from '../../ui/format'
import MeasureField from '../../ui/MeasureField.vue'
import { useNight } from '../../ui/night'
import { useDesign } from '../store/design'
import { useDrawing } from '../canvas/drawing'
import LatticeFields from './LatticeFields.vue'
import { useGuides } from '../store/useGuides'

/** How the drawing is looked at, its guides, and its letters. */
const { t } = useI18n()
const design = useDesign()
const drawing = useDrawing()
const guides = useGuides()
const night = useNight()
const sure = ref(false)
const editable = computed(() => design.mayChange)
const PPM = 1e6
const STEP = 1.25
const chosen = computed(() => (design.zone ? design.zone.rect : null))
/** Screen pixels are what CSS px are on this monitor's scale. */
const seen = (ppm: number): void => drawing.view?.to(ppm / PPM)
const middle = (axis: 'x' | 'y'): number => Math.round((design.answer?.canvas[axis === 'x' ? 0 : 1] ?? 0) / 2)
async function letter(): Promise<void> {
  sure.value = false
  await design.send([{ do: 'zones.letter' }])
}
</script>

<template>
  <h3>{{ t('drawing.zoom') }}</h3>
  <div class="button-row">
    <button type="button" class="btn btn-sm btn-outline-dark" @click="drawing.view?.fit()">{{ t('bench.fit') }}</button>
    <button type="button" class="btn btn-sm btn-outline-dark" @click="drawing.view?.actual()">{{ t('drawing.true') }}</button>
    <button v-if="chosen" type="button" class="btn btn-sm btn-outline-dark" @click="chosen && drawing.view?.around(chosen)">
      {{ t('drawing.to-chosen', { letter: design.zone?.letter ?? '' }) }}
    </button>
    <button type="button" class="btn btn-sm btn-outline-dark" :aria-label="t('elevation.zoom-out')" @click="drawing.view?.by(1 / STEP)">
      −
    </button>
    <button type="button" class="btn btn-sm btn-outline-dark" :aria-label="t('elevation.zoom-in')" @click="drawing.view?.by(STEP)">
      +
    </button>
  </div>
  <p class="hint">{{ t('drawing.hand') }}</p>
  <h3>{{ t('drawing.seen') }}</h3>
  <p class="hint">{{ t('drawing.seen-hint') }}</p>
  <div class="button-row">
    <button
      v-for="one in design.answer?.seen ?? []"
      :key="one.mm"
      type="button"
      class="btn btn-sm btn-outline-dark"
      @click="seen(one.scale_ppm)">
      {{ t('drawing.from', { distance: metres(one.mm) }) }}
    </button>
    <button type="button" class="btn btn-sm btn-outline-dark" @click="drawing.alone = true">{{ t('drawing.alone') }}</button>
  </div>
  <BFormCheckbox v-model="drawing.mm">{{ t('drawing.mm') }}</BFormCheckbox>
  <BFormCheckbox v-model="drawing.rulers">{{ t('drawing.rulers') }}</BFormCheckbox>
  <BFormCheckbox v-model="night">{{ t('drawing.night') }}</BFormCheckbox>
  <h3>{{ t('drawing.guides') }}</h3>
  <fieldset :disabled="!editable">
    <p class="hint">{{ t('drawing.guides-hint') }}</p>
    <div v-for="guide in design.bench.guides" :key="guide.id" class="guide-line">
      <MeasureField
        :label="t(`drawing.at-${guide.axis}`)"
        :value="guide.at"
        unit="px"
        path="/at"
        :refusal="design.refusal"
        @set="guides.put(guide.id, guide.axis, $event)" />
      <button
        type="button"
        class="plain"
        :aria-label="t('drawing.remove-guide', { at: String(guide.at) })"
        @click="guides.remove(guide.id)">
        {{ t('float.remove') }}
      </button>
    </div>
    <div class="button-row">
      <button
        v-for="axis in ['x', 'y'] as const"
        :key="axis"
        type="button"
        class="btn btn-sm btn-outline-dark"
        @click="guides.put(design.fresh('i'), axis, middle(axis))">
        {{ t(`drawing.add-${axis}`) }}
      </button>
    </div>
    <LatticeFields />
    <h3>{{ t('drawing.letters') }}</h3>
    <p class="hint">{{ t('drawing.letters-hint') }}</p>
    <button v-if="!sure" type="button" class="btn btn-sm btn-outline-dark" @click="sure = true">{{ t('drawing.letter') }}</button>
    <div v-else class="questions" role="alertdialog" :aria-label="t('drawing.letter')">
      <p>{{ t('drawing.letter-sure') }}</p>
      <button type="button" class="btn btn-sm btn-primary" @click="letter">{{ t('drawing.letter') }}</button>
      <button type="button" class="btn btn-sm btn-outline-dark" @click="sure = false">{{ t('surface.keep') }}</button>
    </div>
  </fieldset>
</template>
