import { defineStore } from 'pinia'
import { ref } from 'vue'
import { releasedOf } from '../../api/designs'
import type { Newer } from '../../api/handoff'

/** The last release of the design on the bench, and what its surface would show otherwise now. */
export const useReleased = defineStore('released', () => {
  /** null: nothing was released yet; undefined: nobody knows. */
  const number = ref<number | null>()
  const newer = ref<Newer['why']>([])
  let asked = 0
  async function ask(design: string): Promise<void> {
    const mine = ++asked
    const known = await releasedOf(design)
    if (mine !== asked) return
    number.value = known?.number
    newer.value = known?.newer ?? []
  }
  return { number, newer, ask }
})
