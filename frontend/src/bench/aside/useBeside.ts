import { computed, shallowRef, watch, type Ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { plansIn, plansOn, type SurfaceSheet } from '../../api/designs'

/** By the code of a surface, or the id of a house style. */
export interface Beside extends Pick<SurfaceSheet, 'plan' | 'findings'> {
  code: string
  name: string
  is: 'surface' | 'style'
}

/**
 * The surfaces on which the same design is shown beside the bench, and the house styles in which it is: kept in the
 * address, drawn again with every revision.
 */
export function useBeside(design: Ref<string>, revision: () => number) {
  const route = useRoute()
  const router = useRouter()
  const sheets = shallowRef<Beside[]>([])
  const error = shallowRef<unknown>(null)
  const listed = (key: 'beside' | 'styled') =>
    computed(() =>
      String(route.query[key] ?? '')
        .split(',')
        .filter(Boolean),
    )
  const [codes, styled] = [listed('beside'), listed('styled')]
  let asked = 0

  function put(key: 'beside' | 'styled', wanted: string[], on: boolean): void {
    const now = key === 'beside' ? codes.value : styled.value
    const next = on ? [...new Set([...now, ...wanted])] : now.filter((one) => !wanted.includes(one))
    void router.replace({ query: { ...route.query, [key]: next.length ? next.join(',') : undefined } })
  }
  const toggle = (wanted: string[], on: boolean): void => put('beside', wanted, on)
  const toggleStyle = (style: string, on: boolean): void => put('styled', [style], on)
  const away = (sheet: Beside): void => put(sheet.is === 'surface' ? 'beside' : 'styled', [sheet.code], false)

  async function ask(id: string): Promise<Beside[]> {
    const [surfaces, styles] = await Promise.all([plansOn(id, codes.value), plansIn(id, styled.value)])
    return [
      ...surfaces.map((one) => ({ ...one, ...one.surface, is: 'surface' as const })),
      ...styles.map((one) => ({ ...one, code: one.style.id, name: one.style.name, is: 'style' as const })),
    ]
  }
  watch(
    [design, () => codes.value.join(','), () => styled.value.join(','), revision],
    async ([id]) => {
      const mine = ++asked
      try {
        const found = id ? await ask(id) : []
        if (mine !== asked) return
        sheets.value = found
        error.value = null
      } catch (refused) {
        if (mine === asked) error.value = refused
      }
    },
    { immediate: true },
  )

  return { codes, styled, sheets, error, toggle, toggleStyle, away }
}
