<script setup lang="ts">
import { BToast } from 'bootstrap-vue-next'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useUploads } from '../../stock/uploads'
import RefusalNote from '../../ui/RefusalNote.vue'
import { useDesign } from '../store/design'

/** What is said of media that are put into zones: on their way, refused, or over another one. */
const props = defineProps<{ sending: string; over: { zone: string } | null }>()
const emit = defineEmits<{ turn: []; close: [] }>()
const { t } = useI18n()
const design = useDesign()
const stock = useUploads()
const letter = computed(() => (props.over ? design.zones[props.over.zone]?.letter : ''))
const failed = computed(() => stock.uploads.filter((one) => one.fault !== null))
</script>

<template>
  <div class="put-notes">
    <BToast :model-value="sending !== ''" is-status no-progress no-close-button body-class="note-body">
      <p>{{ t('put.sending', { name: sending, percent: stock.percent }) }}</p>
    </BToast>
    <BToast v-for="one in failed" :key="one.key" :model-value="true" no-progress no-close-button body-class="note-body">
      <RefusalNote :error="one.fault" />
      <button type="button" class="plain" @click="stock.dismiss(one.key)">{{ t('close') }}</button>
    </BToast>
    <BToast :model-value="over !== null" is-status no-progress no-close-button body-class="note-body put-over">
      <p>{{ t('put.over', { letter }) }}</p>
      <button type="button" class="btn btn-sm btn-outline-dark" @click="emit('turn')">{{ t('put.in-turn') }}</button>
      <button type="button" class="plain" @click="emit('close')">{{ t('close') }}</button>
    </BToast>
  </div>
</template>

<style scoped>
.put-notes {
  position: absolute;
  right: 1rem;
  bottom: 1rem;
  z-index: 30;
}
</style>
