import { expect, it } from 'vitest'
import { clockText } from '../plan/clock'
import type { ClockToken, Plan } from '../plan/types'
import { dated, isOver } from './almanac'

const HOUR = 3_600_000
/** London: summer time begins on 29 March 2026 at 01:00 UTC (tz database; docs/checks.md). */
const SUMMER = Date.UTC(2026, 2, 29, 1)
const tokens: ClockToken[] = [{ field: 'HH' }, { text: ':' }, { field: 'mm' }]
const clock = { kind: 'clock', tokens, offsets: [{ from_ms: Date.UTC(2026, 2, 1), offset_s: 0 }] }
const plan = {
  days: [Date.UTC(2026, 2, 1)],
  scenes: { s: { zones: [{ items: [clock, { kind: 'text', parts: [{ drawing: clock }] }] }] } },
} as unknown as Plan
const almanac = {
  until_ms: Date.UTC(2026, 4, 3),
  days: [Date.UTC(2026, 2, 29), Date.UTC(2026, 2, 29, 23)],
  offsets: [
    { from_ms: Date.UTC(2026, 2, 29), offset_s: 0 },
    { from_ms: SUMMER, offset_s: 3600 },
  ],
}

it('shows the clocks of today on a plan that was sealed a month ago, also in rows', () => {
  const drawn = dated(plan, almanac)
  const [alone, rows] = (
    drawn.scenes['s'] as unknown as { zones: { items: (typeof clock & { parts: { drawing: typeof clock }[] })[] }[] }
  ).zones[0]!.items
  for (const one of [alone!, rows!.parts[0]!.drawing]) {
    expect(clockText(one.tokens, one.offsets, SUMMER - HOUR)).toBe('00:00')
    expect(clockText(one.tokens, one.offsets, SUMMER)).toBe('02:00')
  }
  expect(drawn.days).toBe(almanac.days)
})

it('is over at its end, and not before', () => {
  expect([isOver(almanac, almanac.until_ms - 1), isOver(almanac, almanac.until_ms)]).toEqual([false, true])
})

it('goes by the plan where there is no almanac', () => {
  expect(dated(plan, null)).toBe(plan)
})
