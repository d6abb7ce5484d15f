import type { GlazingPart } from '../../api/floats'
import type { Command } from '../../api/types'
import { useDesign } from './design'

/** Whole parts of the glazing at once: starters, equal parts, a list of sizes; and what is done with a split. */
export function useGlazing() {
  const design = useDesign()

  /** Puts a tree in the place of a pane, which becomes the first of its panes; the others are new zones. */
  function put(pane: string, tree: GlazingPart): Promise<boolean> {
    const zones: Record<string, unknown> = {}
    let first = true
    const named = (part: GlazingPart): GlazingPart => {
      if (!('pane' in part)) return { ...part, id: design.fresh('g'), parts: part.parts.map(named) }
      const id = first ? pane : design.fresh('z')
      if (!first) zones[id] = { name: '', fill: { kind: 'empty' } }
      first = false
      return { ...part, pane: id }
    }
    const own = design.bench.parts[pane]
    const command = {
      do: 'glazing.put',
      ...design.place,
      part: pane,
      size: own?.size ?? '1fr',
      tree: named(tree),
      zones,
    }
    return design.send([command as Command])
  }

  /** Sizes as typed, `1320px 1fr`, or a number of equal parts; beside a single size comes the rest. */
  function divide(pane: string, split: 'columns' | 'rows', typed: string): Promise<boolean> {
    const words = typed.trim().split(/[\s;]+/)
    const equal = words.length === 1 && /^\d{1,3}$/.test(words[0] ?? '') ? Number(words[0]) : 0
    const written = words.map((word) => (/^\d+$/.test(word) ? `${word}px` : word))
    const sizes =
      equal > 0 ? Array.from({ length: equal }, () => '1fr') : written.length === 1 ? [...written, '1fr'] : written
    return put(pane, { split, gutter: 0, parts: sizes.map((size) => ({ size, pane: '' })) })
  }

  const turn = (split: string): Promise<boolean> => design.send([{ do: 'split.turn', ...design.place, split }])
  /** Two zones show each other's content. */
  function swap(one: string, other: string): Promise<boolean> {
    const [first, second] = [design.documents[one]?.fill, design.documents[other]?.fill]
    if (!first || !second || one === other) return Promise.resolve(false)
    return design.send([
      { do: 'fill.set', zone: one, fill: second },
      { do: 'fill.set', zone: other, fill: first },
    ])
  }

  return { put, divide, turn, swap }
}
