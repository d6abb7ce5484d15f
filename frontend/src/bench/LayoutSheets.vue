<script setup lang="ts">
import { BModal } from 'bootstrap-vue-next'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useSession } from '../session/session'
import { useDesign } from './design'

/** The scene's layouts as sheets of their true ratio: its own, and the one for the other orientation, or the way to make it. */
const emit = defineEmits<{ open: [layout: string] }>()
const { t } = useI18n()
const design = useDesign()
const session = useSession()
const making = ref(false)
const own = computed(() => design.answer?.layouts.own ?? ([1, 1] as [number, number]))
const other = computed(() => design.answer?.layouts.other ?? null)
const inOther = computed(() => design.layout.endsWith('.turned'))
const orientation = ([width, height]: [number, number]): string => t(`elevation.${height > width ? 'portrait' : 'landscape'}`)
const otherName = computed(() => orientation([own.value[1], own.value[0]]))

async function make(way: 'same' | 'crossed'): Promise<void> {
  making.value = false
  await design.makeLayout(way)
  emit('open', `${design.answer?.scene ?? ''}.turned`)
}
async function drop(): Promise<void> {
  await design.dropLayout()
  emit('open', '')
}
</script>

<template>
  <div class="frieze" role="group" :aria-label="t('bench.frieze')">
    <button type="button" class="scene-sheet rest" :class="{ current: !inOther }" :aria-pressed="!inOther" :style="{ aspectRatio: own.join(' / ') }" :aria-label="t('layout.sheet', { scene: t('bench.rest'), orientation: orientation(own) })" @click="emit('open', '')"><span>{{ t('bench.rest') }}</span></button>
    <button v-if="other" type="button" class="scene-sheet rest" :class="{ current: inOther }" :aria-pressed="inOther" :style="{ aspectRatio: other.join(' / ') }" :aria-label="t('layout.sheet', { scene: t('bench.rest'), orientation: otherName })" @click="emit('open', `${design.answer?.scene ?? ''}.turned`)"><span>{{ t('bench.rest') }}</span></button>
    <button v-else-if="session.designs() && own[0] !== own[1]" type="button" class="scene-sheet wanted" :style="{ aspectRatio: `${own[1]} / ${own[0]}` }" :aria-label="t('layout.make', { orientation: otherName })" :title="t('layout.make', { orientation: otherName })" @click="making = true"><span aria-hidden="true">+</span></button>
    <button v-if="inOther && session.designs()" type="button" class="plain" @click="drop">{{ t('layout.drop') }}</button>
    <BModal v-model="making" :title="t('layout.make', { orientation: otherName })" no-footer>
      <p>{{ t('layout.why', { orientation: otherName }) }}</p>
      <button type="button" class="choice" @click="make('crossed')"><strong>{{ t('layout.crossed') }}</strong><span class="hint">{{ t('layout.crossed-hint') }}</span></button>
      <button type="button" class="choice" @click="make('same')"><strong>{{ t('layout.same') }}</strong><span class="hint">{{ t('layout.same-hint') }}</span></button>
    </BModal>
  </div>
</template>
