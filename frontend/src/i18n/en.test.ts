import { describe, expect, it } from 'vitest'
import written from './en.json?raw'

describe('The words', () => {
  it('are each said once: of two with one name JSON keeps the last', () => {
    const close = written.replace(/("(?:\\.|[^"\\])*")|\s+/g, '$1')

    expect(JSON.stringify(JSON.parse(written))).toBe(close)
  })
})
