import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'

describe('The words', () => {
  it('are each said once: of two with one name JSON keeps the last', () => {
    const written = readFileSync(new URL('./en.json', import.meta.url), 'utf8')
    const close = written.replace(/("(?:\\.|[^"\\])*")|\s+/g, '$1')

    expect(JSON.stringify(JSON.parse(written))).toBe(close)
  })
})
