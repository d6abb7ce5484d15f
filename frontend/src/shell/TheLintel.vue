<script setup lang="ts">
import { BDropdown, BDropdownItem, BDropdownItemButton, BDropdownText } from 'bootstrap-vue-next'
import { onMounted, onUnmounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { useSession } from '../session/session'
import SessionSheet from '../session/SessionSheet.vue'
import { useUploads } from '../stock/uploads'
import { civilWords, pinned } from '../ui/pinned'
import ActsNow from '../acts/ActsNow.vue'
import KeySheet from './KeySheet.vue'

const { t } = useI18n()
const session = useSession()
const uploads = useUploads()
const router = useRouter()
const route = useRoute()
const keys = ref(false)
const where = ref(false)
const places = ['elevation', 'bench', 'stock', 'hand-off'] as const

async function signOut(): Promise<void> {
  await session.signOut()
  await router.push('/sign-in')
}

function help(event: KeyboardEvent): void {
  const typing = event.target instanceof HTMLElement && event.target.matches('input, textarea, select')
  if (event.key === '?' && !typing) keys.value = true
}
onMounted(() => addEventListener('keydown', help))
onUnmounted(() => removeEventListener('keydown', help))
</script>

<template>
  <header class="lintel">
    <RouterLink :to="{ name: 'elevation' }" class="maker">
      <img src="/mark.svg" alt="" width="22" height="22" />
      Upper Pane
    </RouterLink>
    <BDropdown v-if="session.me && session.me.sites.length > 1" variant="link" :text="session.site?.name" toggle-class="site" no-caret>
      <BDropdownItem v-for="one in session.me.sites" :key="one.slug" :to="{ name: 'elevation', params: { site: one.slug } }">
        {{ one.name }}
      </BDropdownItem>
    </BDropdown>
    <span v-else class="site">{{ session.site?.name }}</span>
    <nav :aria-label="t('lintel.places')">
      <RouterLink
        v-for="place in places"
        :key="place"
        :to="{ name: place }"
        :class="{ 'router-link-active': place === 'stock' && (route.name === 'styles' || route.name === 'playlists') }">
        {{ t(`place.${place}`) }}
      </RouterLink>
    </nav>
    <BDropdown variant="link" class="places" :text="t('lintel.places')" toggle-class="person">
      <BDropdownItem v-for="place in places" :key="place" :to="{ name: place }">{{ t(`place.${place}`) }}</BDropdownItem>
    </BDropdown>
    <span v-if="uploads.active.length" class="progress-word" role="status">
      {{ t('stock.sending', { count: uploads.active.length, percent: String(uploads.percent) }) }}
    </span>
    <ActsNow v-if="session.me" />
    <span v-if="pinned" class="pinned" role="status">{{ t('lintel.pinned', { time: civilWords(pinned) }) }}</span>
    <span class="spring" />
    <button class="plain" type="button" :aria-label="t('lintel.keys')" @click="keys = true">?</button>
    <BDropdown v-if="session.me" variant="link" :text="session.me.name" toggle-class="person" no-caret end>
      <BDropdownText>{{ t(`role.${session.me.role}`) }}</BDropdownText>
      <BDropdownItemButton @click="where = true">{{ t('session.where') }}</BDropdownItemButton>
      <BDropdownItemButton @click="signOut">{{ t('session.out') }}</BDropdownItemButton>
    </BDropdown>
    <KeySheet v-model="keys" />
    <SessionSheet v-model="where" :zone="session.site?.zone ?? 'UTC'" />
  </header>
</template>
