<script setup lang="ts">
import { BCollapse } from 'bootstrap-vue-next'
import { ref, useId } from 'vue'

/** A part of the particulars: closed, one line says what is in it. Open or closed as the person left it. */
const props = defineProps<{ name: string; title: string; says: string; first?: boolean }>()
const id = useId()
const KEY = `bench:section:${props.name}`
const open = ref((localStorage.getItem(KEY) ?? (props.first ? 'open' : 'closed')) === 'open')
function toggle(): void {
  open.value = !open.value
  localStorage.setItem(KEY, open.value ? 'open' : 'closed')
}
</script>

<template>
  <section class="panel-section" :data-section="name">
    <h3>
      <button type="button" class="section-head" :aria-expanded="open" :aria-controls="id" @click="toggle">
        <span class="section-mark" aria-hidden="true" />
        <span>{{ title }}</span>
        <span class="section-says" :class="{ measure: name === 'place' }">{{ says }}</span>
      </button>
    </h3>
    <BCollapse :id="id" :model-value="open" no-animation>
      <div class="section-body"><slot /></div>
    </BCollapse>
  </section>
</template>

<style scoped>
.panel-section {
  border-top: 1px solid var(--hairline);
}
.panel-section h3 {
  margin: 0;
  font-size: inherit;
}
.section-head {
  display: flex;
  align-items: baseline;
  gap: 0.45rem;
  width: 100%;
  padding: 0.4rem 0;
  border: 0;
  background: none;
  color: var(--ink);
  font-size: 0.875rem;
  font-weight: 600;
  text-align: left;
}
.section-mark {
  flex: none;
  width: 0;
  height: 0;
  border: 4px solid transparent;
  border-left-color: var(--ink);
  align-self: center;
}
.section-head[aria-expanded='true'] .section-mark {
  transform: rotate(90deg) translateX(2px);
}
.section-says {
  flex: 1;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  font-size: 0.8125rem;
  font-weight: 400;
  color: var(--soft);
}
.section-body {
  padding-bottom: 0.6rem;
}
</style>
