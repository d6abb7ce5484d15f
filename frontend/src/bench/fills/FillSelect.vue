<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next'
import { computed, ref, useId, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Fill } from '../../api/types'
import { firstField, goOn } from '../../ui/focus'
import { useDesign } from '../store/design'

/**
 * What a zone shows. By keys it is only chosen when one says so, with Enter or by going on; what a kind held before
 * comes back with it.
 */
const props = defineProps<{ zone: string; fill: Fill }>()
const { t } = useI18n()
const id = useId()
const design = useDesign()
const KINDS: Record<Fill['kind'], true> = {
  empty: true,
  colour: true,
  picture: true,
  video: true,
  text: true,
  clock: true,
  dial: true,
  progress: true,
  count: true,
  qr: true,
  shape: true,
  chart: true,
  web: true,
  live: true,
  playlist: true,
}
const kinds = Object.keys(KINDS) as Fill['kind'][]
/** Pictures and videos come from the Stock; those that were there can come back. */
const isFromStock = (kind: Fill['kind']): boolean => (kind === 'picture' || kind === 'video') && !kept.has(kind) && kind !== props.fill.kind
const chosen = ref<Fill['kind']>(props.fill.kind)
const byKeys = ref(false)
let sending = false
const kept = keptOf(props.zone)
watch(
  () => props.fill,
  (fill) => {
    chosen.value = fill.kind
    if (fill.kind !== 'empty') kept.set(fill.kind, fill)
  },
  { immediate: true },
)
const pending = computed(() => chosen.value !== props.fill.kind)
function commit(): void {
  byKeys.value = false
  // It is left while it is on its way: said once, it is not said again.
  if (!pending.value || sending) return
  sending = true
  const before = kept.get(chosen.value)
  const kind = chosen.value
  void goOn(
    () => (before ? design.setFill(props.zone, before) : design.beginFill(props.zone, kind)),
    kind === 'empty' ? () => null : firstField('[data-fill]'),
  ).finally(() => {
    sending = false
    chosen.value = props.fill.kind
  })
}
function pick(event: Event): void {
  chosen.value = (event.target as HTMLSelectElement).value as Fill['kind']
  if (!byKeys.value) commit()
}
</script>

<script lang="ts">
const held = new Map<string, Map<Fill['kind'], Fill>>()
/** What a zone showed of each kind, for as long as the page is open. */
function keptOf(zone: string): Map<Fill['kind'], Fill> {
  const of = held.get(zone) ?? new Map<Fill['kind'], Fill>()
  held.set(zone, of)
  return of
}
</script>

<template>
  <label>
    {{ t('bench.fill') }}
    <BFormSelect
      size="sm"
      :model-value="chosen"
      :aria-describedby="id"
      @keydown="byKeys = $event.key !== 'Enter'"
      @keydown.enter.prevent="commit"
      @keydown.esc="chosen = fill.kind"
      @pointerdown="byKeys = false"
      @blur="commit"
      @change="pick">
      <option v-for="one in kinds" :key="one" :value="one" :disabled="isFromStock(one)">
        {{ isFromStock(one) ? t('fill.from-stock', { kind: t(`fill.${one}`) }) : t(`fill.${one}`) }}
      </option>
    </BFormSelect>
  </label>
  <p :id="id" class="hint" role="status">{{ pending ? t('fill.pending') : '' }}</p>
</template>
