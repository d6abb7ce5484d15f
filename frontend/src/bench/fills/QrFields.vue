<script setup lang="ts">
import { BFormInput, BFormSelect, BFormTextarea } from 'bootstrap-vue-next'
import { useI18n } from 'vue-i18n'
import type { QrContent, QrFill } from '../../api/types'
import type { Item } from '../../plan/types'
import { metres } from '../../ui/format'
import ColourField from './ColourField.vue'
import FieldRefusal from './FieldRefusal.vue'

const props = defineProps<{ fill: QrFill; item: Item | undefined }>()
const emit = defineEmits<{ set: [part: Partial<QrFill>, target: string] }>()
const { t } = useI18n()
const EMPTY: { [As in QrContent['as']]: QrContent & { as: As } } = {
  address: { as: 'address', address: '' },
  text: { as: 'text', text: '' },
  contact: { as: 'contact', name: '', phone: '', email: '', address: '' },
  network: { as: 'network', name: '', password: '', security: 'WPA' },
}
const kinds = Object.keys(EMPTY) as QrContent['as'][]
const levels = ['L', 'M', 'Q', 'H'] as const
const securities = ['WPA', 'WEP', 'nopass'] as const
const value = (event: Event): string => (event.target as HTMLInputElement).value
const say = (key: string, said: string): void =>
  emit('set', { content: { ...props.fill.content, [key]: said } as QrContent }, `content.${key}`)
const parts = (): { part: string; said: string; at: RegExp }[] =>
  Object.entries(props.fill.content)
    .filter(([part]) => part !== 'as' && part !== 'security')
    .map(([part, said]) => ({ part, said, at: new RegExp(`/content/${part}$`) }))
</script>

<template>
  <label>
    {{ t('qr.as') }}
    <BFormSelect
      size="sm"
      :model-value="fill.content.as"
      @change="emit('set', { content: EMPTY[value($event) as QrContent['as']] }, 'content')">
      <option v-for="one in kinds" :key="one" :value="one">{{ t(`qr.as-${one}`) }}</option>
    </BFormSelect>
  </label>
  <template v-for="one in parts()" :key="`${fill.content.as} ${one.part}`">
    <FieldRefusal :at="one.at" />
    <label>
      {{ t(one.part === 'name' ? `qr.${fill.content.as}-name` : `qr.${one.part}`) }}
      <BFormTextarea
        v-if="one.part === 'text'"
        size="sm"
        rows="3"
        maxlength="2000"
        :model-value="one.said"
        @change="say(one.part, value($event))" />
      <BFormInput
        v-else
        size="sm"
        maxlength="2000"
        :placeholder="one.part === 'address' ? 'https://' : ''"
        :model-value="one.said"
        @change="say(one.part, value($event))" />
    </label>
  </template>
  <div class="field-row">
    <label v-if="fill.content.as === 'network'">
      {{ t('qr.security') }}
      <BFormSelect size="sm" :model-value="fill.content.security" @change="say('security', value($event))">
        <option v-for="one in securities" :key="one" :value="one">{{ t(`qr.${one}`) }}</option>
      </BFormSelect>
    </label>
    <label>
      {{ t('qr.level') }}
      <BFormSelect size="sm" :model-value="fill.level" @change="emit('set', { level: value($event) as 'M' }, 'level')">
        <option v-for="one in levels" :key="one" :value="one">{{ t(`qr.level-${one}`) }}</option>
      </BFormSelect>
    </label>
  </div>
  <p v-if="item?.kind === 'qr' && item.module_px > 0" class="measure" role="status">
    {{ t('qr.facts', { side: String(item.rows.length - 8), px: String(item.module_px) }) }}
    <template v-if="item.scan_mm">{{ t('qr.scan', { distance: metres(item.scan_mm) }) }}</template>
  </p>
  <div class="field-row">
    <ColourField :label="t('qr.colour')" :value="fill.colour" @set="emit('set', { colour: $event }, 'colour')" />
    <ColourField :label="t('fill.ground')" :value="fill.ground" @set="emit('set', { ground: $event }, 'ground')" />
  </div>
</template>
