<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import RefusalNote from '../ui/RefusalNote.vue'
import { useSession } from './session'

const { t } = useI18n()
const session = useSession()
const route = useRoute()
const router = useRouter()
const email = ref('')
const password = ref('')
const error = ref<unknown>(null)
const busy = ref(false)

async function signIn(as: { email: string; password: string }): Promise<void> {
  busy.value = true
  error.value = null
  try {
    await session.signIn(as.email, as.password)
    await router.push(typeof route.query['to'] === 'string' ? route.query['to'] : '/elevation')
  } catch (refused) {
    error.value = refused
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <form class="sign-in sheet" @submit.prevent="signIn({ email, password })">
    <h1>
      <img src="/mark.svg" alt="" width="34" height="34" />
      Upper Pane
    </h1>
    <p class="hint">{{ t('session.hello') }}</p>
    <label for="email">{{ t('session.email') }}</label>
    <BFormInput id="email" v-model="email" type="email" autocomplete="username" required autofocus />
    <label for="password">{{ t('session.password') }}</label>
    <BFormInput id="password" v-model="password" type="password" autocomplete="current-password" required />
    <RefusalNote :error="error" />
    <button class="btn btn-primary" type="submit" :disabled="busy">{{ t('session.in') }}</button>
    <template v-if="session.demo.length">
      <h2>{{ t('session.demo') }}</h2>
      <ul class="lines">
        <li v-for="person in session.demo" :key="person.email">
          <button type="button" class="line" :disabled="busy" @click="signIn(person)">
            <span>{{ person.name }}</span>
            <span class="hint">{{ t(`role.${person.role}`) }}</span>
          </button>
        </li>
      </ul>
    </template>
  </form>
</template>
