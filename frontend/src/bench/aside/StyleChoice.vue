<script setup lang="ts">
import { BFormCheckbox, BFormSelect } from 'bootstrap-vue-next'
import { computed, onMounted } from 'vue'
import { useI18n } from 'vue-i18n'
import { useStyles } from '../../styles/styles'
import { useDesign } from '../store/design'

/** The house style that this design has, whether it moves, and others in which it stands beside the bench. */
defineProps<{ codes: string[] }>()
const emit = defineEmits<{ toggle: [style: string, on: boolean] }>()
const { t } = useI18n()
const design = useDesign()
const styles = useStyles()
const choose = (event: Event): void => void design.send([{ do: 'design.style', style: (event.target as HTMLSelectElement).value || null }])
/** A named colour is written with its name before it; a design from before it had a style has none. */
const isUsed = computed(() => Object.values(design.documents).some(({ fill }) => /@#|"(type|space)":"/.test(JSON.stringify(fill))))
onMounted(() => void styles.load())
</script>

<template>
  <label>
    {{ t('style.of-design') }}
    <BFormSelect size="sm" :model-value="design.answer?.style ?? ''" :disabled="!design.mayChange" @change="choose">
      <option value="">{{ t('style.no-style') }}</option>
      <option v-for="one in styles.list" :key="one.id" :value="one.id">{{ one.name }}</option>
    </BFormSelect>
  </label>
  <p v-if="design.answer?.style && !isUsed" class="hint" role="status">{{ t('style.not-used') }}</p>
  <BFormCheckbox
    :model-value="design.answer?.still ?? false"
    :disabled="!design.mayChange"
    @update:model-value="(on) => design.send([{ do: 'design.still', still: on === true }])">
    {{ t('style.still') }}
  </BFormCheckbox>
  <fieldset v-if="styles.list.length > 1">
    <legend class="group-label">{{ t('style.beside') }}</legend>
    <BFormCheckbox
      v-for="one in styles.list.filter((each) => each.id !== design.answer?.style)"
      :key="one.id"
      :model-value="codes.includes(one.id)"
      @update:model-value="(on) => emit('toggle', one.id, on === true)">
      {{ one.name }}
    </BFormCheckbox>
  </fieldset>
  <p>
    <RouterLink :to="{ name: 'styles' }">{{ t('style.to') }}</RouterLink>
  </p>
</template>
