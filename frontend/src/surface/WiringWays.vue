<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { SurfaceWhole } from '../api/surfaces'
import NumberField from './NumberField.vue'

/** The ready ways to wire, each one action. */
const props = defineProps<{ surface: SurfaceWhole }>()
const emit = defineEmits<{ wire: [body: Record<string, unknown>]; add: [] }>()
const { t } = useI18n()
const player = ref(props.surface.feeding[0]?.code ?? '')
const number = ref<number | null>(1)
const width = ref<number | null>(1920)
const height = ref<number | null>(1080)
const line = ref<number | null>(Math.min(1920, props.surface.canvas[0]))
const mirrored = computed(() => props.surface.wiring.outputs.some((output) => output.slices.some((slice) => slice.mirror)))
const signal = (): Record<string, unknown> => ({ player: player.value, number: number.value, px: [width.value, height.value] })
</script>

<template>
  <div class="button-row">
    <button type="button" class="btn btn-sm btn-outline-dark" @click="emit('wire', { way: 'one_per_output' })">
      {{ t('outputs.one-per-output') }}
    </button>
    <button
      type="button"
      class="btn btn-sm btn-outline-dark"
      :aria-pressed="mirrored"
      @click="emit('wire', { way: 'mirror', mirror: !mirrored })">
      {{ t('outputs.mirror-all') }}
    </button>
    <button type="button" class="btn btn-sm btn-outline-dark" @click="emit('add')">{{ t('outputs.add') }}</button>
  </div>
  <details>
    <summary>{{ t('outputs.on-one') }}</summary>
    <div class="field-row">
      <label>
        {{ t('outputs.player') }}
        <BFormSelect size="sm" v-model="player">
          <option v-for="one in surface.feeding" :key="one.code">{{ one.code }}</option>
        </BFormSelect>
      </label>
      <NumberField v-model="number" :label="t('outputs.number')" path="/number" />
      <NumberField v-model="width" :label="t('shape.px-width')" unit="px" path="/px/0" />
      <NumberField v-model="height" :label="t('shape.px-height')" unit="px" path="/px/1" />
    </div>
    <button type="button" class="btn btn-sm btn-outline-dark" @click="emit('wire', { way: 'one_signal', ...signal() })">
      {{ t('outputs.as-they-stand') }}
    </button>
    <div class="field-row">
      <NumberField v-model="line" :label="t('outputs.line')" unit="px" path="/line_px" />
      <button type="button" class="btn btn-sm btn-outline-dark fixed" @click="emit('wire', { way: 'folded', ...signal(), line_px: line })">
        {{ t('outputs.fold') }}
      </button>
    </div>
  </details>
</template>
