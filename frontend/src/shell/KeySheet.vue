<script setup lang="ts">
import { BModal } from 'bootstrap-vue-next'
import { useI18n } from 'vue-i18n'

const open = defineModel<boolean>({ required: true })
const { t } = useI18n()
const keys: [string, string][] = [
  ['|  or  Shift+C', 'keys.columns'],
  ['-  or  Shift+R', 'keys.rows'],
  ['M', 'keys.merge'],
  ['F, T', 'keys.draw'],
  ['F2', 'keys.write'],
  ['G', 'keys.lattice'],
  ['Ctrl+D', 'keys.duplicate'],
  ['Ctrl+C, Ctrl+X, Ctrl+V', 'keys.paste'],
  ['[ and ]', 'keys.layers'],
  ['Ctrl, Alt, Shift', 'keys.drag'],
  ['Tab, Shift+Tab', 'keys.walk'],
  ['Arrows, Shift+arrows', 'keys.nudge'],
  ['Ctrl+Z, Ctrl+Shift+Z', 'keys.undo'],
  ['Space', 'keys.play'],
  [', and .', 'keys.step'],
  ['Alt+Left, Alt+Right', 'keys.change'],
  ['+  -  0', 'keys.rail-zoom'],
  ['Alt+Up, Alt+Down', 'keys.entry'],
  ['Alt+Left, Alt+Right', 'keys.scene'],
  ['Delete', 'keys.empty'],
  ['0, 1 and 2', 'keys.zoom'],
  ['Ctrl+wheel, Space+drag', 'keys.hand'],
  ['Arrows, Shift+arrows', 'keys.guide'],
  ['Enter, Shift+Enter', 'keys.divide'],
  ['Shift+click', 'keys.span'],
  ['+  -  0', 'keys.elevation-zoom'],
  ['Arrows', 'keys.elevation-pan'],
  ['Arrows, Shift+arrows', 'keys.arrange'],
  ['?', 'keys.sheet'],
]
</script>

<template>
  <BModal v-model="open" :title="t('keys.title')" :header-close-label="t('close')" ok-only :ok-title="t('close')">
    <dl class="keys">
      <template v-for="[key, word] in keys" :key="word">
        <dt>
          <kbd>{{ key }}</kbd>
        </dt>
        <dd>{{ t(word) }}</dd>
      </template>
    </dl>
    <p class="hint">{{ t('keys.where') }}</p>
  </BModal>
</template>
