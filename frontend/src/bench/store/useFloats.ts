import type { Anchor, FloatPlace, FloatTraits } from '../../api/floats'
import type { Command, MediaLine, ZoneDocument } from '../../api/types'
import type { Rect } from '../../plan/types'
import { faceOf, firstField, goOn } from '../../ui/focus'
import { useDesign } from './design'

export type Edge = 'left' | 'centre' | 'right' | 'top' | 'middle' | 'bottom'
/** A float with what it shows, as it is copied: its place is written, not where it came to lie. */
export interface Copied {
  float: FloatPlace
  zone: Pick<ZoneDocument, 'name' | 'fill'> & { runs_on?: boolean }
}

/** Places that were sent and not answered yet: the next step of a key that is held goes on from them. */
const underway = new Map<string, Rect>()

/** What can be done with floats of the layout on the bench. All arithmetic is the core's. */
export function useFloats() {
  const design = useDesign()
  const panels = (): Record<string, unknown> => {
    const there = design.answer?.panels ?? {}
    return Object.keys(there).length > 1 ? { panels: there } : {}
  }
  const send = (commands: Command[], target = ''): Promise<boolean> =>
    design.send(
      commands.map((command) => ({ ...command, ...design.place })),
      target,
    )

  const isFloat = (zone: string): boolean => design.zones[zone]?.float === true
  const all = (): string[] => design.layers.filter(isFloat)
  /** Where floats lie, or will as soon as what is on its way has been answered. */
  const rectsOf = (zones: string[]): Record<string, Rect> =>
    Object.fromEntries(
      zones.flatMap((zone) =>
        design.zones[zone] && isFloat(zone) ? [[zone, underway.get(zone) ?? design.zones[zone].rect]] : [],
      ),
    )
  async function lay(rects: Record<string, Rect>): Promise<boolean> {
    for (const [zone, rect] of Object.entries(rects)) underway.set(zone, rect)
    const done = await send([{ do: 'float.lay', rects, ...panels() }], `lay:${Object.keys(rects).join()}`)
    if (design.waiting === 0 || !done) underway.clear()
    return done
  }
  const nudge = (zones: string[], x: number, y: number): Promise<boolean> =>
    lay(
      Object.fromEntries(
        Object.entries(rectsOf(zones)).map(([zone, [left, top, width, height]]) => [
          zone,
          [left + x, top + y, width, height],
        ]),
      ),
    )
  const turn = (zone: string, centidegrees: number): Promise<boolean> =>
    send([{ do: 'float.turn', zone, turn: centidegrees }], `turn:${zone}`)
  const move = (zone: string, offset: [string, string]): Promise<boolean> => send([{ do: 'float.move', zone, offset }])
  const size = (zone: string, lengths: [string, string], ratio = false): Promise<boolean> =>
    send([{ do: 'float.size', zone, size: lengths, ...(ratio ? { ratio } : {}) }])
  const anchor = (zone: string, frame: string, point: Anchor): Promise<boolean> =>
    send([{ do: 'float.anchor', zone, frame, anchor: point, ...panels() }])
  const align = (zones: string[], edge: Edge, within: Rect | null): Promise<boolean> =>
    send([{ do: 'float.align', zones, edge, ...(within ? { within } : {}), ...panels() }])
  const spread = (zones: string[], axis: 'x' | 'y'): Promise<boolean> =>
    send([{ do: 'float.spread', zones, axis, ...panels() }])
  const match = (zones: string[], like: string, side: 'width' | 'height' | 'both'): Promise<boolean> =>
    send([{ do: 'float.match', zones, like, side, ...panels() }])

  /** One towards the front or the back; `null` puts it in front of all. */
  function order(zone: string, by: 1 | -1): Promise<boolean> {
    const others = all()
    const at = others.indexOf(zone)
    const before = by < 0 ? others[at - 1] : others[at + 2]
    return by < 0 && before === undefined
      ? Promise.resolve(true)
      : send([{ do: 'float.order', zone, before: before ?? null }])
  }
  const putBehind = (zone: string, before: string | null): Promise<boolean> =>
    send([{ do: 'float.order', zone, before }])

  const locked = (zone: string): boolean => design.bench.floats[zone]?.locked === true
  const traits = (zones: string[], set: FloatTraits): Promise<boolean> => send([{ do: 'float.traits', zones, set }])
  /** The floats of one's group, itself the last. */
  function family(zone: string): string[] {
    const group = design.bench.floats[zone]?.group
    const others = group === undefined ? [] : all().filter((one) => design.bench.floats[one]?.group === group)
    return [...others.filter((one) => one !== zone), zone]
  }
  function chooseAll(zones: string[], alone = false): void {
    design.together = alone ? zones : [...new Set(zones.flatMap(family))]
    design.selected = zones.at(-1) ?? null
  }
  async function remove(zones: string[]): Promise<void> {
    const left = all().filter((zone) => !zones.includes(zone))
    await goOn(
      async () => {
        const done = await send(zones.map((zone) => ({ do: 'float.remove', zone })))
        if (done) chooseAll(left.slice(-1))
        return done
      },
      () => faceOf(left.at(-1) ?? '')() ?? document.querySelector<HTMLElement>('.pane-face'),
    )
  }

  const written = (rect: Rect): Pick<FloatPlace, 'frame' | 'anchor' | 'offset' | 'size'> => ({
    frame: 'canvas',
    anchor: 'top-left',
    offset: [`${rect[0]}px`, `${rect[1]}px`],
    size: [`${rect[2]}px`, `${rect[3]}px`],
  })
  /** A new float at a rectangle, in front of all or behind another one. */
  const placed = (zone: string, rect: Rect, before: string | null = null): object => ({
    do: 'float.place',
    float: { zone, turn: 0, ...written(rect) },
    before,
    ...design.place,
  })
  /** A float drawn at a rectangle; a text begins with a fill of the core's. */
  async function place(rect: Rect, kind: 'empty' | 'text'): Promise<void> {
    const zone = design.fresh('z')
    const made = placed(zone, rect)
    const fill = kind === 'text' ? [{ do: 'fill.begin', zone, kind, entry: design.fresh('e') }] : []
    if (kind === 'text') design.shown = 'particulars'
    // A text is typed at once; anything else goes on with the keys of floats.
    await laid(zone, [made, ...fill] as Command[], kind === 'text' ? firstField('[data-fill]') : faceOf(zone))
  }
  /** What is made is chosen, and the work goes on with it. */
  const laid = (zone: string, commands: Command[], next = faceOf(zone)): Promise<boolean> =>
    goOn(async () => {
      const done = await design.send(commands)
      if (done) chooseAll([zone])
      return done
    }, next)
  /** Beneath a float, at a rectangle of its own px. */
  async function placeUnder(art: string, [x, y, width, height]: Rect): Promise<void> {
    const over = design.zones[art]?.rect
    if (!over) return
    const zone = design.fresh('z')
    const rect: Rect = [over[0] + x, over[1] + y, width, height]
    const made = placed(zone, rect, art)
    design.covering.add(zone)
    await laid(zone, [made, ...seenThrough(art)] as Command[])
  }
  /** What lies under it is seen only where it has no ground of its own. */
  const seenThrough = (art: string, as = art): object[] => {
    const fill = design.documents[art]?.fill
    return fill && 'ground' in fill ? [{ do: 'fill.set', zone: as, fill: { ...fill, ground: null } }] : []
  }
  /**
   * What a pane shows as a float over it; the pane is free for what lies beneath, and so is a zone under each opening
   * that is given. The first of these is what one goes on with.
   */
  async function layOver(pane: string, openings: Rect[] = []): Promise<void> {
    const rect = design.zones[pane]?.rect
    if (!rect) return
    const zone = design.fresh('z')
    const made = placed(zone, rect)
    const emptied = { do: 'fill.begin', zone: pane, kind: 'empty', entry: design.fresh('e') }
    const under = openings.map(([x, y, width, height]) => {
      const one = design.fresh('z')
      design.covering.add(one)
      return { one, made: placed(one, [rect[0] + x, rect[1] + y, width, height], zone) }
    })
    const commands = [made, ...seenThrough(pane, zone), emptied, ...under.map((each) => each.made)]
    // A zone that was laid under an opening is there to be filled.
    if (under.length) design.shown = 'stock'
    await laid(under[0]?.one ?? zone, commands as Command[])
  }
  /** A medium of the Stock as a float around a point, in its own pixels where they take up at most half the canvas. */
  async function placeMedium(media: MediaLine, [x, y]: [number, number]): Promise<void> {
    const [width, height] = design.answer?.canvas ?? [4, 4]
    const [own, high] = media.size ?? [width, height]
    const by = Math.min(1, width / 2 / own, height / 2 / high)
    const [wide, tall] = [Math.max(1, Math.round(own * by)), Math.max(1, Math.round(high * by))]
    const rect: Rect = [Math.round(x - wide / 2), Math.round(y - tall / 2), wide, tall]
    const zone = design.fresh('z')
    const made = placed(zone, rect)
    const bare = media.alpha ? { bare: true } : {}
    const fill = { do: 'fill.begin', zone, kind: media.kind, media: media.id, ...bare, entry: design.fresh('e') }
    await laid(zone, [made, fill] as Command[])
  }
  /** A pasted text, in the middle. */
  async function placeText(text: string): Promise<void> {
    const [width, height] = design.answer?.canvas ?? [4, 4]
    const zone = design.fresh('z')
    const rect: Rect = [
      Math.round(width / 4),
      Math.round((height * 3) / 8),
      Math.round(width / 2),
      Math.round(height / 4),
    ]
    const made = placed(zone, rect)
    const fill = { do: 'fill.begin', zone, kind: 'text', text, entry: design.fresh('e') }
    await laid(zone, [made, fill] as Command[])
  }
  const placeOf = (float: FloatPlace | undefined): unknown =>
    float && [float.frame, float.anchor, float.offset, float.size]
  /** 20 px farther, in the unit it is written in where that is px; else anew in px. */
  const aside = (length: string): string => (/^-?\d+(\.\d+)?px$/.test(length) ? `${parseFloat(length) + 20}px` : '20px')
  /** Copies, each a zone of its own, as one step. */
  async function paste(given: Copied[]): Promise<boolean> {
    const taken = new Set(all().map((zone) => JSON.stringify(placeOf(design.bench.floats[zone]))))
    const copies = given.map((one) => {
      let { float } = one
      // Exactly over another it could not be told from it.
      while (taken.has(JSON.stringify(placeOf(float))))
        float = { ...float, offset: [aside(float.offset[0]), aside(float.offset[1])] }
      return { ...one, float }
    })
    const made: string[] = []
    const commands = copies.flatMap(({ float, zone: { name, fill, runs_on } }) => {
      const zone = design.fresh('z')
      made.push(zone)
      return [
        { do: 'float.place', float: { ...float, zone }, before: null, ...design.place },
        ...(name ? [{ do: 'zone.name', zone, name }] : []),
        ...(fill.kind === 'empty' ? [] : [{ do: 'fill.set', zone, fill }]),
        ...(runs_on ? [{ do: 'zone.runs_on', zone, on: true }] : []),
      ]
    })
    return goOn(
      async () => {
        const done = await design.send(commands as Command[])
        if (done) chooseAll(made)
        return done
      },
      faceOf(made.at(-1) ?? ''),
    )
  }
  const copied = (zones: string[]): Copied[] =>
    all()
      .filter((zone) => zones.includes(zone))
      .flatMap((zone) => {
        const [float, document] = [design.bench.floats[zone], design.documents[zone]]
        if (!float || !document) return []
        const { name, fill, runs_on } = document
        return [{ float, zone: { name, fill, ...(runs_on ? { runs_on } : {}) } }]
      })
  const copy = (rects: Record<string, Rect>): Promise<boolean> =>
    paste(
      copied(Object.keys(rects)).flatMap((one) => {
        const rect = rects[one.float.zone]
        return rect ? [{ ...one, float: { ...one.float, ...written(rect) } }] : []
      }),
    )
  const duplicate = (zones: string[], by = 20): Promise<boolean> =>
    copy(
      Object.fromEntries(
        Object.entries(rectsOf(zones)).map(([zone, [x, y, width, height]]) => [zone, [x + by, y + by, width, height]]),
      ),
    )

  return {
    isFloat,
    locked,
    traits,
    family,
    placeUnder,
    layOver,
    placeMedium,
    all,
    rectsOf,
    lay,
    nudge,
    turn,
    move,
    size,
    anchor,
    align,
    spread,
    match,
    order,
    putBehind,
    chooseAll,
    remove,
    place,
    placeText,
    paste,
    copied,
    copy,
    duplicate,
  }
}
