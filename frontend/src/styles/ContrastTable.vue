<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import FindingMark from '../ui/FindingMark.vue'
import { useStyles } from './styles'

/** Each colour as ink on each other one, in these very colours. */
const { t } = useI18n()
const styles = useStyles()
const colours = computed(() => Object.entries(styles.whole?.colours ?? {}))
const at = (ink: string, ground: string) => styles.whole?.contrast[ink]?.[ground]
</script>

<template>
  <section v-if="colours.length > 1">
    <h2>{{ t('style.contrast') }}</h2>
    <p class="hint">{{ t('style.contrast-hint') }}</p>
    <div class="matrix">
      <table>
        <thead>
          <tr>
            <th scope="col">
              <span class="visually-hidden">{{ t('style.ink') }}</span>
            </th>
            <th v-for="[id, colour] in colours" :key="id" scope="col">{{ colour.name }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="[ink, colour] in colours" :key="ink">
            <th scope="row">{{ colour.name }}</th>
            <td v-for="[ground, under] in colours" :key="ground">
              <span v-if="ink !== ground" class="pair" :style="{ color: colour.hex, background: under.hex }" aria-hidden="true">
                {{ t('style.letters') }}
              </span>
              <span v-if="ink !== ground" class="measure" :class="{ weak: !at(ink, ground)?.reads }">
                {{ at(ink, ground)?.ratio }}
                <FindingMark v-if="!at(ink, ground)?.reads" severity="caution" />
              </span>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.matrix {
  overflow-x: auto;
}
th,
td {
  padding: 0.3rem 0.6rem;
  text-align: left;
  font-weight: 500;
}
td {
  white-space: nowrap;
  border-top: 1px solid var(--edge);
}
.pair {
  display: inline-block;
  width: 2.2rem;
  padding: 0.15rem 0;
  margin-right: 0.4rem;
  text-align: center;
  font-weight: 600;
  border: 1px solid var(--edge);
}
.weak {
  font-weight: 600;
}
</style>
