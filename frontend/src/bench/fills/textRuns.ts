import type { TextRun } from '../../api/fills'

/** Characters of a text that are set otherwise. Places are Unicode code points, as the core counts them. */
export type Look = Pick<TextRun, 'weight' | 'colour'>

/** Of a place that a text field tells, in UTF-16 units. */
export const characters = (text: string, unit: number): number => [...text.slice(0, unit)].length

const plain = ({ weight, colour }: Look): boolean => !weight && !colour

/** These characters look so from now on, whatever they looked before; neighbours that look alike become one. */
export function marked(runs: TextRun[], from: number, to: number, look: (before: Look) => Look): TextRun[] {
  const edges = [...new Set([from, to, ...runs.flatMap((run) => [run.from, run.to])])].sort((a, b) => a - b)
  const made: TextRun[] = []
  for (const [index, begin] of edges.entries()) {
    const end = edges[index + 1]
    if (end === undefined) break
    const was = runs.find((run) => run.from <= begin && run.to >= end)
    const before: Look = { weight: was?.weight ?? null, colour: was?.colour ?? null }
    const now = begin >= from && end <= to ? look(before) : before
    const last = made[made.length - 1]
    if (plain(now)) continue
    if (last?.to === begin && last.weight === now.weight && last.colour === now.colour) last.to = end
    else made.push({ from: begin, to: end, ...now })
  }
  return made
}

/** What was marked stays with its characters when the text around them is typed otherwise. */
export function carried(runs: TextRun[], before: string, after: string): TextRun[] {
  const [old, fresh] = [[...before], [...after]]
  let same = 0
  while (same < Math.min(old.length, fresh.length) && old[same] === fresh[same]) same++
  let behind = 0
  while (
    behind < Math.min(old.length, fresh.length) - same &&
    old[old.length - 1 - behind] === fresh[fresh.length - 1 - behind]
  )
    behind++
  const [gone, by] = [old.length - behind, fresh.length - old.length]
  // What is typed inside a run, or at its end, belongs to it; before it does not.
  const begin = (at: number): number => (at < same ? at : Math.max(at, gone) + by)
  const end = (at: number): number => (at < same ? at : at >= gone ? at + by : same)
  return runs.map((run) => ({ ...run, from: begin(run.from), to: end(run.to) })).filter((run) => run.to > run.from)
}
