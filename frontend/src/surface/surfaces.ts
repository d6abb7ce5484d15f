import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { call, ProblemError } from '../api/client'
import type { Elevation, Problem, SheetFields, SurfaceWhole } from '../api/types'

const SITE = 'harrowmere'

/** The site's surfaces, and the one that is looked at closely. Every change goes to the server and comes back as the whole. */
export const useSurfaces = defineStore('surfaces', () => {
  const elevation = shallowRef<Elevation | null>(null)
  const whole = shallowRef<SurfaceWhole | null>(null)
  const error = ref<unknown>(null)
  const conflict = shallowRef<{ problem: Problem; set: Partial<SheetFields> } | null>(null)

  async function load(): Promise<void> {
    try {
      elevation.value = await call<Elevation>('GET', `/api/sites/${SITE}/elevation`)
    } catch (refused) {
      error.value = refused
    }
  }

  async function open(code: string): Promise<void> {
    if (whole.value?.code !== code) whole.value = null
    await answer(() => call<SurfaceWhole>('GET', `/api/surfaces/${code}`))
  }

  async function answer(ask: () => Promise<SurfaceWhole>): Promise<boolean> {
    error.value = null
    try {
      const next = await ask()
      whole.value = next
      const all = elevation.value
      if (all) elevation.value = { ...all, surfaces: all.surfaces.map((one) => (one.code === next.code ? next : one)) }
      return true
    } catch (refused) {
      error.value = refused
      return false
    }
  }

  /** Sets fields on the revision that is shown. Someone else's change of the same field becomes a choice. */
  async function change(code: string, set: Partial<SheetFields>, sure = false): Promise<boolean> {
    const revision = (whole.value?.code === code ? whole.value : elevation.value?.surfaces.find((one) => one.code === code))?.revision ?? 0
    const done = await answer(() => call<SurfaceWhole>('POST', `/api/surfaces/${code}/changes`, { change: crypto.randomUUID(), revision, set, sure }))
    const refused = error.value
    if (!done && refused instanceof ProblemError && refused.problem.code === 'surface.changed_since') {
      error.value = null
      conflict.value = { problem: refused.problem, set }
    }
    return done
  }

  async function resolve(mine: boolean): Promise<void> {
    const clash = conflict.value
    const code = whole.value?.code
    conflict.value = null
    if (!clash || !code) return
    await open(code)
    if (mine) await change(code, clash.set)
  }

  const step = (code: string, kind: 'undo' | 'redo'): Promise<boolean> => answer(() => call<SurfaceWhole>('POST', `/api/surfaces/${code}/${kind}`))

  async function archive(code: string, archived: boolean, revision: number, sure: boolean): Promise<void> {
    await call('POST', `/api/surfaces/${code}/changes`, { change: crypto.randomUUID(), revision, set: { archived }, sure })
    await load()
  }

  const make = (fields: Partial<SheetFields> & { made_as: string; portrait: boolean; sure: boolean }): Promise<{ surface: string }> =>
    call<{ surface: string }>('POST', `/api/sites/${SITE}/surfaces`, fields)

  return { elevation, whole, error, conflict, load, open, change, resolve, step, archive, make }
})
