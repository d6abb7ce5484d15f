import { computed, ref } from 'vue'
import { fontsOf } from '../api/sites'
import type { FontLine } from '../api/types'
import { useSession } from '../session/session'

/** The faces that the app serves, to choose among. */
export function useFaces() {
  const faces = ref<FontLine[]>([])
  void fontsOf(useSession().slug).then((fonts) => (faces.value = fonts))
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
