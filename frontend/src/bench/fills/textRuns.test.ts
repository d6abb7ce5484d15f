import { describe, expect, it } from 'vitest'
import { carried, characters, marked } from './textRuns'

const bold = () => ({ weight: 700, colour: null })
const said = (text: string, runs: { from: number; to: number }[]): string[] =>
  runs.map((run) => [...text].slice(run.from, run.to).join(''))

describe('characters that are set otherwise', () => {
  it('are counted as code points', () => expect(characters('🚢 boat', 3)).toBe(2))
  it('are marked, joined and freed', () => {
    const one = marked([], 4, 7, bold)
    expect(one).toEqual([{ from: 4, to: 7, weight: 700, colour: null }])
    const two = marked(one, 7, 9, bold)
    expect(two).toEqual([{ from: 4, to: 9, weight: 700, colour: null }])
    expect(marked(two, 5, 6, () => ({ weight: null, colour: null })).map((run) => [run.from, run.to])).toEqual([
      [4, 5],
      [6, 9],
    ])
  })
  it('keep the other half of their look', () => {
    const red = marked(marked([], 0, 4, bold), 2, 6, (before) => ({ ...before, colour: '#FF0000' }))
    expect(red.map((run) => [run.from, run.to, run.weight, run.colour])).toEqual([
      [0, 2, 700, null],
      [2, 4, 700, '#FF0000'],
      [4, 6, null, '#FF0000'],
    ])
  })
  it('stay with their letters while others are typed and taken away', () => {
    const text = 'Mind the gap now'
    const runs = marked([], 9, 12, bold)
    for (const after of ['Please mind the gap now', 'Mind the gap', 'the gap now', 'Mind the 🚢 gap now'])
      expect(said(after, carried(runs, text, after))).toEqual(['gap'])
    expect(said('Mind the gaps now', carried(runs, text, 'Mind the gaps now'))).toEqual(['gaps'])
    expect(said('Mind the gap', carried(runs, text, 'Mind the'))).toEqual([])
    expect(said('Mind the g now', carried(runs, text, 'Mind the g now'))).toEqual(['g'])
  })
})
