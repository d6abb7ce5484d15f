<script setup lang="ts">
import { BFormCheckbox, BFormInput, BFormSelect } from 'bootstrap-vue-next'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { seconds } from '../../ui/format'
import MeasureField from '../../ui/MeasureField.vue'
import { TRANSITIONS } from '../../plan/transitions'
import { useDesign } from '../store/design'
import KeepStarter from '../aside/KeepStarter.vue'
import SceneGround from './SceneGround.vue'
import { useScene } from './useScene'

/** The open scene: its name, how long it lasts, whether it is in the round, how it enters, what lies behind it. */
const { t } = useI18n()
const design = useDesign()
const scene = useScene()
const name = ref('')
watch(
  () => scene.scene.value?.name,
  (now) => (name.value = now ?? ''),
  { immediate: true },
)
const at = computed(() => scene.frieze.value.indexOf(design.scene))
const lengths = ['open', 'ms', 'longest', 'leader'] as const
const length = computed(() => scene.scene.value?.length ?? { kind: 'open' as const })
const FIRST_MS = 10_000
const A_SECOND = 1000

function rename(): void {
  const wanted = name.value.trim()
  if (wanted !== '' && wanted !== scene.scene.value?.name) void scene.name(wanted)
  else name.value = scene.scene.value?.name ?? ''
}
function lengthKind(kind: string): void {
  if (kind === 'ms') void scene.setLength({ kind, ms: scene.scene.value?.ms ?? FIRST_MS })
  else if (kind === 'leader') void scene.setLength({ kind, zone: design.order[0] ?? '' })
  else void scene.setLength({ kind: kind === 'longest' ? 'longest' : 'open' })
}
const value = (event: Event): string => (event.target as HTMLSelectElement).value
</script>

<template>
  <fieldset v-if="scene.scene.value" :key="design.scene" :disabled="!design.mayChange" class="scene-fields">
    <label>
      {{ t('scene.name') }}
      <BFormInput v-model="name" size="sm" maxlength="80" @change="rename" />
    </label>
    <label>
      {{ t('scene.length') }}
      <BFormSelect size="sm" :model-value="length.kind" @change="lengthKind(value($event))">
        <option v-for="kind in lengths" :key="kind" :value="kind">{{ t(`scene.length-${kind}`) }}</option>
      </BFormSelect>
    </label>
    <MeasureField
      v-if="length.kind === 'ms'"
      :label="t('scene.seconds')"
      :value="length.ms"
      :parts="A_SECOND"
      path="/length/ms"
      unit="s"
      :refusal="design.refusal"
      @set="scene.setLength({ kind: 'ms', ms: $event })" />
    <label v-else-if="length.kind === 'leader'">
      {{ t('scene.leader') }}
      <BFormSelect size="sm" :model-value="length.zone" @change="scene.setLength({ kind: 'leader', zone: value($event) })">
        <option v-for="zone in design.order" :key="zone" :value="zone">
          {{ design.documents[zone]?.letter }} {{ design.documents[zone]?.name }}
        </option>
      </BFormSelect>
    </label>
    <p v-if="length.kind !== 'ms' && length.kind !== 'open'" class="measure">{{ seconds(scene.scene.value.ms) || t('scene.no-length') }}</p>
    <BFormCheckbox :model-value="scene.inRound.value" :disabled="scene.staysIn.value" @update:model-value="(on) => scene.join(on === true)">
      {{ t('scene.in-round') }}
    </BFormCheckbox>
    <p class="hint">{{ t(scene.isRest.value ? 'scene.is-rest' : scene.inRound.value ? 'scene.follows' : 'scene.waits') }}</p>
    <div class="button-row">
      <button v-if="!scene.isRest.value" type="button" class="btn btn-sm btn-outline-dark" @click="scene.beRest">
        {{ t('scene.be-rest') }}
      </button>
      <button type="button" class="btn btn-sm btn-outline-dark" :disabled="at <= 0" @click="scene.move(-1)">
        {{ t('scene.earlier') }}
      </button>
      <button type="button" class="btn btn-sm btn-outline-dark" :disabled="at >= scene.frieze.value.length - 1" @click="scene.move(1)">
        {{ t('scene.later') }}
      </button>
    </div>
    <label>
      {{ t('scene.enters') }}
      <BFormSelect size="sm" :model-value="scene.scene.value.transition.kind" @change="scene.setTransition(value($event))">
        <option v-for="kind in TRANSITIONS" :key="kind" :value="kind">{{ t(`transition.${kind}`) }}</option>
      </BFormSelect>
    </label>
    <MeasureField
      v-if="scene.scene.value.transition.kind !== 'cut'"
      :label="t('transition.for')"
      :value="scene.scene.value.transition.ms"
      :parts="A_SECOND"
      path="/transition/ms"
      unit="s"
      :refusal="design.refusal"
      @set="scene.setTransition(scene.scene.value.transition.kind, $event)" />
    <SceneGround />
    <h3>{{ t('scene.again') }}</h3>
    <p class="hint">{{ t('scene.again-hint') }}</p>
    <div class="button-row">
      <button
        v-for="own in [false, true]"
        :key="String(own)"
        type="button"
        class="btn btn-sm btn-outline-dark"
        @click="scene.duplicate(t('designs.copy-of', { name: scene.scene.value.name }).slice(0, 80), own)">
        {{ t(own ? 'scene.duplicate-own' : 'scene.duplicate') }}
      </button>
      <button v-if="scene.frieze.value.length > 1" type="button" class="btn btn-sm btn-outline-dark" @click="scene.remove">
        {{ t('scene.remove') }}
      </button>
    </div>
    <KeepStarter />
  </fieldset>
</template>
