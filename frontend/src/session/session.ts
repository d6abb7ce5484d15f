import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { call, useCsrf } from '../api/client'
import type { DemoPerson, Me, Right, SiteLine } from '../api/types'

/** Who is signed in on this page, and at which site they are. What they may do was said by the server. */
export const useSession = defineStore('session', () => {
  const me = ref<Me | null>(null)
  /** Whom the demo lets in with one click; nobody elsewhere. */
  const demo = ref<DemoPerson[]>([])
  const asked = ref(false)
  /** The slug in the address. */
  const at = ref('')
  const site = computed<SiteLine | null>(
    () => me.value?.sites.find((one) => one.slug === at.value) ?? me.value?.sites[0] ?? null,
  )
  const slug = computed(() => site.value?.slug ?? '')

  async function load(): Promise<void> {
    if (asked.value) return
    try {
      const answer = await call<{ person: Me | null; demo?: DemoPerson[] }>('GET', '/api/me')
      me.value = answer.person
      demo.value = answer.demo ?? []
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
    asked.value = false
  }

  /** May they do this at a site (when none is named, at that in the address), or at least with one of these things. */
  function may(right: Right, slug?: string, things: string[] = []): boolean {
    const where = slug === undefined ? site.value : me.value?.sites.find((one) => one.slug === slug)
    const on = where?.on.filter((one) => things.includes(one.thing)) ?? []
    return where?.rights.includes(right) || on.some((one) => one.rights.includes(right))
  }

  return { me, demo, at, site, slug, load, signIn, signOut, may }
})
