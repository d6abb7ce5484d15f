import { computed, shallowRef, watch, type Ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { call } from '../api/client'
import type { Finding } from '../api/types'
import type { Plan } from '../plan/types'

export interface Beside {
  surface: { code: string; name: string }
  plan: Plan
  findings: Finding[]
}

/**
 * The surfaces on which the same design is shown beside the bench: kept in the address, drawn again with every
 * revision.
 */
export function useBeside(design: Ref<string>, revision: () => number) {
  const route = useRoute()
  const router = useRouter()
  const sheets = shallowRef<Beside[]>([])
  const error = shallowRef<unknown>(null)
  const codes = computed(() =>
    String(route.query['beside'] ?? '')
      .split(',')
      .filter(Boolean),
  )
  let asked = 0

  const put = (wanted: string[]): void =>
    void router.replace({ query: { ...route.query, beside: wanted.length ? wanted.join(',') : undefined } })
  function toggle(wanted: string[], on: boolean): void {
    put(on ? [...new Set([...codes.value, ...wanted])] : codes.value.filter((code) => !wanted.includes(code)))
  }
  watch(
    [design, () => codes.value.join(','), revision],
    async ([id, wanted]) => {
      const mine = ++asked
      if (!id || !wanted) {
        sheets.value = []
        return
      }
      try {
        const answer = await call<{ plans: Beside[] }>('GET', `/api/designs/${id}/plans?surfaces=${wanted}`)
        if (mine !== asked) return
        sheets.value = answer.plans
        error.value = null
      } catch (refused) {
        if (mine === asked) error.value = refused
      }
    },
    { immediate: true },
  )

  return { codes, sheets, error, toggle }
}
