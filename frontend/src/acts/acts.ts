import { defineStore } from 'pinia'
import { ref } from 'vue'
import { actsOf, clearAct, takeAct, type Act } from '../api/acts'
import { useOnce } from '../api/once'
import { useSession } from '../session/session'

/** What is in force at the site beside what was handed off. */
export const useActs = defineStore('acts', () => {
  const session = useSession()
  const list = ref<Act[]>([])
  const once = useOnce()
  async function load(): Promise<void> {
    if (session.slug) list.value = await actsOf(session.slug).catch(() => list.value)
  }
  async function take(kind: Act['kind'], target: string): Promise<void> {
    await once(`${kind} ${target}`, (id) => takeAct(session.slug, id, kind, [target]))
    await load()
  }
  async function clear(id: string): Promise<void> {
    await clearAct(id)
    await load()
  }
  return { list, load, take, clear }
})
