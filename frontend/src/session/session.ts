import { defineStore } from 'pinia'
import { ref } from 'vue'
import { call, useCsrf } from '../api/client'
import type { Me } from '../api/types'

/** Who is signed in on this page. */
export const useSession = defineStore('session', () => {
  const me = ref<Me | null>(null)
  const asked = ref(false)

  async function load(): Promise<void> {
    if (asked.value) return
    try {
      me.value = (await call<{ person: Me | null }>('GET', '/api/me')).person
      useCsrf(me.value?.csrf ?? '')
      asked.value = true
    } catch {
      asked.value = false
    }
  }

  async function signIn(email: string, password: string): Promise<void> {
    await call('POST', '/api/session', { email, password })
    asked.value = false
    await load()
  }

  async function signOut(): Promise<void> {
    await call('DELETE', '/api/session')
    me.value = null
  }

  const designs = (): boolean => me.value?.role === 'designer' || me.value?.role === 'administrator'

  const mounts = (): boolean => designs() || me.value?.role === 'technician'

  return { me, load, signIn, signOut, designs, mounts }
})
