import { describe, expect, it } from 'vitest'
import { steerVideo } from './steerVideo'
import type { Drawings } from './types'

const FRAME_MS = 1000 / 60

/** A video of a machine whose seeks take so long; it plays as HTML's media elements do, and begins again at its end. */
class Film {
  paused = true
  readyState = 4
  seeks = 0
  private at = 0
  private readyAt = 0
  private now = 0

  constructor(
    private readonly lengthS: number,
    private readonly seekMs: number,
  ) {}

  get currentTime(): number {
    return this.at
  }
  set currentTime(to: number) {
    this.at = to
    this.readyAt = this.now + this.seekMs
    this.readyState = 1
    this.seeks++
  }
  get seeking(): boolean {
    return this.now < this.readyAt
  }
  play(): Promise<void> {
    this.paused = false
    return Promise.resolve()
  }
  pause(): void {
    this.paused = true
  }
  pass(ms: number): void {
    this.now += ms
    if (this.seeking) return
    this.readyState = 4
    if (!this.paused) this.at = (this.at + ms / 1000) % this.lengthS
  }
}

function filmed(
  content: { ms: number; fromMs?: number },
  seekMs: number,
  forMs: number,
  sinceMs: (at: number) => number,
) {
  const film = new Film(12, seekMs)
  const item = { content_ms: content.ms, content_from_ms: content.fromMs } as Drawings['video']
  const shown: { at: number; drift: number; plays: boolean }[] = []
  for (let at = 0; at < forMs; at += FRAME_MS) {
    steerVideo(film, item, sinceMs(at), true, at)
    const wanted = ((content.fromMs ?? 0) + (sinceMs(at) % content.ms)) / 1000
    shown.push({
      at: film.currentTime,
      drift: Math.abs(film.currentTime - wanted),
      plays: !film.paused && !film.seeking,
    })
    film.pass(FRAME_MS)
  }
  return { film, shown }
}

describe('a video that runs', () => {
  it.each([20, 400, 1500, 4000])('plays and is on time where a seek takes %i ms', (seekMs) => {
    const { film, shown } = filmed({ ms: 12_000 }, seekMs, 30_000, (at) => at + 5000)
    const settled = shown.slice(Math.round(((6 * seekMs + 2500) / 30_000) * shown.length))
    expect(film.seeks).toBeLessThanOrEqual(2)
    expect(settled.every((one) => one.plays)).toBe(true)
    expect(settled.filter((one) => one.drift > 0.31 && one.drift < 11.69)).toEqual([])
  })

  it.each([20, 1500])('shows nothing but its part where a seek takes %i ms', (seekMs) => {
    const { shown } = filmed({ ms: 2000, fromMs: 3000 }, seekMs, 30_000, (at) => at)
    const there = shown.slice(Math.round(((seekMs + 100) / 30_000) * shown.length))
    expect(there.every((one) => one.at >= 3 && one.at <= 5.03)).toBe(true)
    expect(there.filter((one) => one.plays).length / there.length).toBeGreaterThan(seekMs === 20 ? 0.8 : 0.2)
  })

  it('follows at once when somebody goes to another moment', () => {
    const { shown } = filmed({ ms: 12_000 }, 20, 3000, (at) => (at < 1000 ? at : at + 6000))
    expect(shown.filter((one, index) => index * FRAME_MS > 1100 && one.drift > 0.3)).toEqual([])
  })
})
