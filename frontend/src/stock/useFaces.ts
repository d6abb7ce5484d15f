import { computed, ref } from 'vue'
import { fontsOf } from '../api/sites'
import type { FontLine } from '../api/types'
import { useSession } from '../session/session'

/** What is on its way: fields that appear together ask once. */
let asking: Promise<FontLine[]> | null = null
const asked = (site: string): Promise<FontLine[]> => (asking ??= fontsOf(site).finally(() => (asking = null)))

/** The faces that the app serves, to choose among. */
export function useFaces() {
  const faces = ref<FontLine[]>([])
  void asked(useSession().slug).then((fonts) => (faces.value = fonts))
  const families = computed(() => [...new Set(faces.value.map((face) => face.family))])
  const weights = (family: string): number[] =>
    faces.value.filter((face) => face.family === family).map((face) => face.weight)
  /** A family with the weight there was, or its first where it has none such. */
  function inFamily(font: string, weight: number): { font: string; weight: number } {
    const known = weights(font)
    return { font, weight: known.includes(weight) ? weight : (known[0] ?? 400) }
  }
  return { faces, families, weights, inFamily }
}
