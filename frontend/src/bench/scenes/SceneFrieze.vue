<script setup lang="ts">
import { BFormInput, BModal, vBTooltip } from 'bootstrap-vue-next'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { seconds } from '../../ui/format'
import { useDesign } from '../store/design'
import SceneSheet from './SceneSheet.vue'
import { carried } from '../canvas/stockDrag'
import { sorting, useSceneDrag } from './useSceneDrag'

/**
 * The design's scenes as sheets of their true ratio, in their order; the one that is open also shows its layout for the other orientation.
 */
/** `plays`: the scene that shows while the round plays. */
defineProps<{ plays?: string | undefined }>()
const emit = defineEmits<{ open: [scene: string, layout: 'own' | 'turned']; particulars: [] }>()
const { t } = useI18n()
const design = useDesign()
const drag = useSceneDrag()
const making = ref(false)
const naming = ref<string | null>(null)
const editable = computed(() => design.mayChange)
const own = computed(() => design.answer?.layouts.own ?? ([1, 1] as [number, number]))
const turned = computed<[number, number]>(() => [own.value[1], own.value[0]])
const orientation = ([width, height]: [number, number]): string => t(`elevation.${height > width ? 'portrait' : 'landscape'}`)
const frieze = computed(() => design.answer?.frieze ?? [])
const inRound = (scene: string): boolean => (design.answer?.round.scenes ?? []).some((one) => one.scene === scene)
const isRest = (scene: string): boolean => design.answer?.round.scenes[0]?.scene === scene
const length = (scene: string): string => (frieze.value.length > 1 ? seconds(design.scenes[scene]?.ms ?? null) : '')
const label = (scene: string, size: [number, number]): string =>
  t('layout.sheet', { scene: [design.scenes[scene]?.name, length(scene)].filter(Boolean).join(' '), orientation: orientation(size) })

async function make(way: 'same' | 'crossed'): Promise<void> {
  making.value = false
  await design.makeLayout(way)
  emit('open', design.scene, 'turned')
}
async function drop(): Promise<void> {
  await design.dropLayout()
  emit('open', design.scene, 'own')
}
async function named(): Promise<void> {
  const name = naming.value?.trim() ?? ''
  naming.value = null
  if (name !== '') await design.addScene(name)
}
function move(scene: string, by: number): void {
  const at = frieze.value.indexOf(scene)
  const to = at + by
  if (to < 0 || to >= frieze.value.length) return
  void design.moveScene(scene, (by > 0 ? frieze.value[to + 1] : frieze.value[to]) ?? null)
}
function keys(scene: string, event: KeyboardEvent): void {
  const by: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1 }
  if (!event.altKey || !editable.value || by[event.key] === undefined) return
  event.preventDefault()
  move(scene, by[event.key]!)
}
</script>

<template>
  <div class="frieze" role="group" :aria-label="t('bench.frieze')">
    <template v-for="scene in frieze" :key="scene">
      <SceneSheet
        :size="own"
        :current="design.scene === scene && design.layout === 'own'"
        :rest="isRest(scene)"
        :outside="!inRound(scene)"
        :plays="plays === scene"
        :scene="design.scenes[scene]"
        :name="design.scenes[scene]?.name ?? ''"
        :length="length(scene)"
        :label="label(scene, own)"
        :data-scene="scene"
        :class="{
          over: carried.scene === scene,
          moving: sorting.scene === scene,
          'drop-before': sorting.before === scene && sorting.scene !== scene,
          'drop-after': sorting.before === 'end' && scene === frieze.at(-1),
        }"
        @pointerdown="editable && frieze.length > 1 && drag(scene, $event)"
        @open="emit('open', scene, 'own')"
        @keydown="keys(scene, $event)" />
      <SceneSheet
        v-if="design.scene === scene && design.scenes[scene]?.turned"
        :size="turned"
        :current="design.layout === 'turned'"
        :rest="isRest(scene)"
        :name="design.scenes[scene]?.name ?? ''"
        length=""
        :label="label(scene, turned)"
        @open="emit('open', scene, 'turned')" />
      <button
        v-else-if="design.scene === scene && editable && own[0] !== own[1]"
        v-b-tooltip="t('layout.make', { orientation: orientation(turned) })"
        type="button"
        class="scene-sheet wanted"
        :style="{ aspectRatio: turned.join(' / ') }"
        :aria-label="t('layout.make', { orientation: orientation(turned) })"
        @click="making = true">
        <span aria-hidden="true">+</span>
      </button>
    </template>
    <template v-if="editable">
      <button type="button" class="plain" @click="naming = t('scene.numbered', { number: String(frieze.length + 1) })">
        {{ t('scene.add') }}
      </button>
      <button v-if="design.layout === 'turned'" type="button" class="plain" @click="drop">{{ t('layout.drop') }}</button>
    </template>
    <button type="button" class="plain" @click="emit('particulars')">{{ t('scene.particulars') }}</button>
    <BModal v-model="making" :title="t('layout.make', { orientation: orientation(turned) })" :header-close-label="t('close')" no-footer>
      <p>{{ t('layout.why', { orientation: orientation(turned) }) }}</p>
      <button type="button" class="choice" @click="make('crossed')">
        <strong>{{ t('layout.crossed') }}</strong>
        <span class="hint">{{ t('layout.crossed-hint') }}</span>
      </button>
      <button type="button" class="choice" @click="make('same')">
        <strong>{{ t('layout.same') }}</strong>
        <span class="hint">{{ t('layout.same-hint') }}</span>
      </button>
    </BModal>
    <BModal
      v-if="naming !== null"
      :model-value="true"
      :title="t('scene.add')"
      :header-close-label="t('close')"
      no-footer
      @hidden="naming = null">
      <form @submit.prevent="named">
        <label for="scene-name">{{ t('scene.name') }}</label>
        <BFormInput id="scene-name" v-model="naming" maxlength="80" required autofocus />
        <div class="button-row">
          <button type="submit" class="btn btn-primary btn-sm">{{ t('scene.make') }}</button>
        </div>
      </form>
    </BModal>
  </div>
</template>
