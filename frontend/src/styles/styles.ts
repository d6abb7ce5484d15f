import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import { call } from '../api/client'
import type { DocumentAnswer } from '../api/types'
import { useDocument } from '../document/useDocument'
import { useSession } from '../session/session'

interface NamedColour {
  name: string
  hex: string
}
export interface TypeStep {
  name: string
  font: string
  weight: number
  size: number
  line_height: number
}
interface SpaceStep {
  name: string
  px: number
}
export const CORNERS = ['top-left', 'top-right', 'bottom-left', 'bottom-right'] as const
export interface CornerMark {
  media: string
  corner: (typeof CORNERS)[number]
  /** Thousandths of a canvas's shorter side. */
  width: number
  margin: number
}
interface HouseStyle {
  name: string
  colours: Record<string, NamedColour>
  types: Record<string, TypeStep>
  spaces: Record<string, SpaceStep>
  mark: CornerMark | null
}
type StyleAnswer = DocumentAnswer &
  HouseStyle & {
    /** By ink, then by ground. */
    contrast: Record<string, Record<string, { ratio: string; reads: boolean }>>
    /** Paths of tokens that could not be taken. */
    left?: string[]
  }

/** What is shown stays where it is while somebody works on it, and what is new comes behind it. */
function asShown<Part>(next: Record<string, Part>, shown: Record<string, Part> = {}): Record<string, Part> {
  const ids = [...Object.keys(shown).filter((id) => id in next), ...Object.keys(next)]
  return Object.fromEntries([...new Set(ids)].map((id) => [id, next[id] as Part]))
}

/** The house styles of the site, and the one that is edited: a document like all others. */
export const useStyles = defineStore('styles', () => {
  const session = useSession()
  const list = shallowRef<(HouseStyle & { id: string })[]>([])
  const loaded = shallowRef(false)
  const whole = shallowRef<StyleAnswer | null>(null)
  const left = shallowRef<string[]>([])
  const client = useDocument<StyleAnswer>({ take, view: () => ({}), mayChange: () => session.may('design') })

  function take(answer: StyleAnswer): void {
    const shown = whole.value
    const next = {
      ...answer,
      colours: asShown(answer.colours, shown?.colours),
      types: asShown(answer.types, shown?.types),
      spaces: asShown(answer.spaces, shown?.spaces),
    }
    whole.value = next
    left.value = next.left ?? []
    list.value = list.value.map((one) => (one.id === client.id.value ? { ...one, ...next, id: one.id } : one))
  }

  async function load(): Promise<void> {
    const answer = await call<{ styles: (HouseStyle & { id: string })[] }>(
      'GET',
      `/api/sites/${session.slug}/styles`,
    ).catch(() => null)
    if (answer) list.value = answer.styles
    loaded.value = true
  }

  const close = (): void => void (whole.value = null)
  async function open(id: string): Promise<void> {
    close()
    await client.open(id)
  }

  async function make(name: string, like: string | null): Promise<string> {
    const { style } = await call<{ style: string }>('POST', `/api/sites/${session.slug}/styles`, {
      style: crypto.randomUUID(),
      name,
      like,
    })
    await load()
    return style
  }

  const find = (id: string | null | undefined): HouseStyle | undefined => list.value.find((one) => one.id === id)
  const rename = (name: string): Promise<boolean> => client.send([{ do: 'style.name', name }], 'name')
  /** As each was sent last: while that is on the way, the next change goes on from it and takes nothing back. */
  const sent = new Map<string, object>()
  function grown<Part extends object>(id: string, there: Part | undefined, part: Partial<Part>): Part {
    const next = { ...((client.waiting.value > 0 ? sent.get(id) : undefined) ?? there), ...part } as Part
    sent.set(id, next)
    return next
  }
  function setColour(id: string, part: Partial<NamedColour> | null): Promise<boolean> {
    const colour = part && grown(id, whole.value?.colours[id], part)
    return client.send([{ do: 'style.colour', id, colour }], `colours ${id}`)
  }
  function setType(id: string, part: Partial<TypeStep> | null): Promise<boolean> {
    const type = part && grown(id, whole.value?.types[id], part)
    return client.send([{ do: 'style.type', id, type }], `types ${id}`)
  }
  function setSpace(id: string, part: Partial<SpaceStep> | null): Promise<boolean> {
    const space = part && grown(id, whole.value?.spaces[id], part)
    return client.send([{ do: 'style.space', id, space }], `spaces ${id}`)
  }
  const setMark = (mark: CornerMark | null): Promise<boolean> => client.send([{ do: 'style.mark', mark }], 'mark')
  const takeTokens = (tokens: unknown): Promise<boolean> =>
    client.ask(`/api/styles/${client.id.value}/tokens`, { tokens })

  return {
    ...client,
    list,
    loaded,
    whole,
    left,
    load,
    open,
    close,
    make,
    find,
    rename,
    setColour,
    setType,
    setSpace,
    setMark,
    takeTokens,
  }
})
