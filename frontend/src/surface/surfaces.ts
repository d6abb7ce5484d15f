import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { call } from '../api/client'
import { elevationOf } from '../api/sites'
import type { Elevation, Output, SheetFields, SurfaceWhole } from '../api/surfaces'
import type { Command } from '../api/types'
import { useDocument } from '../document/useDocument'
import { useSession } from '../session/session'

/** The site's surfaces, and the one that is looked at closely: its sheet is a document like all others. */
export const useSurfaces = defineStore('surfaces', () => {
  const session = useSession()
  const elevation = shallowRef<Elevation | null>(null)
  const whole = shallowRef<SurfaceWhole | null>(null)
  const fault = shallowRef<unknown>(null)
  const client = useDocument<SurfaceWhole>({ take, view: () => ({}), mayChange: () => mayMount.value })
  const mayMount = computed(() => session.may('mount', undefined, whole.value?.things))
  const error = computed({
    get: () => fault.value ?? client.refusal.value,
    set: (value) => void ((fault.value = value), (client.refusal.value = null)),
  })

  function take(next: SurfaceWhole): void {
    whole.value = next
    const all = elevation.value
    if (all) elevation.value = { ...all, surfaces: all.surfaces.map((one) => (one.code === next.code ? next : one)) }
  }

  async function load(): Promise<void> {
    try {
      elevation.value = await elevationOf(session.slug)
    } catch (refused) {
      fault.value = refused
    }
  }

  async function open(code: string): Promise<void> {
    if (whole.value?.code !== code) whole.value = null
    fault.value = null
    try {
      const found = whole.value ?? (await call<SurfaceWhole>('GET', `/api/surfaces/${code}`))
      whole.value = found
      await client.open(found.document)
    } catch (refused) {
      fault.value = refused
    }
  }

  async function send(code: string, commands: Command[], target = '', sure = false): Promise<boolean> {
    if (whole.value?.code !== code) await open(code)
    fault.value = null
    return client.send(commands, target, sure)
  }

  /** Sets fields on the revision that is shown. Someone else's change of the same field becomes a choice. */
  const change = (code: string, set: Partial<SheetFields>): Promise<boolean> =>
    send(
      code,
      Object.entries(set).map(([field, value]) => ({ do: 'field.set', field, value })),
      Object.keys(set).join(' '),
    )
  const wire = (code: string, outputs: Output[] | null): Promise<boolean> =>
    send(code, [{ do: 'output.wire', outputs }])

  /** Archiving asks about what is in use; so it is one request of its own, answered at once. */
  async function archive(code: string, archived: boolean, sure: boolean): Promise<void> {
    await send(code, [{ do: 'field.set', field: 'archived', value: archived }], '', sure)
    const refused = client.refusal.value
    client.refusal.value = null
    if (refused) throw refused
    await load()
  }

  const make = (
    fields: Partial<SheetFields> & { made_as: string; portrait: boolean; sure: boolean },
  ): Promise<{ surface: string }> => call<{ surface: string }>('POST', `/api/sites/${session.slug}/surfaces`, fields)

  return {
    elevation,
    whole,
    mayMount,
    error,
    conflict: client.conflict,
    undo: client.undo,
    document: client.id,
    revision: client.revision,
    load,
    open,
    send,
    change,
    wire,
    resolve: client.resolve,
    step: client.step,
    listen: client.listen,
    archive,
    make,
  }
})
