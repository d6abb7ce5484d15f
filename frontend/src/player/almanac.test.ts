import { expect, it } from 'vitest'
import { clockText } from '../plan/clock'
import { datesBy, isOver } from './almanac'

const HOUR = 3_600_000
/** London: summer time begins on 29 March 2026 at 01:00 UTC (tz database; docs/checks.md). */
const SUMMER = Date.UTC(2026, 2, 29, 1)
const almanac = {
  until_ms: Date.UTC(2026, 4, 3),
  days: [Date.UTC(2026, 2, 29), Date.UTC(2026, 2, 29, 23)],
  offsets: [
    { from_ms: Date.UTC(2026, 2, 29), offset_s: 0 },
    { from_ms: SUMMER, offset_s: 3600 },
  ],
}
const shows = (nowMs: number): string =>
  clockText([{ field: 'HH' }, { text: ':' }, { field: 'mm' }], datesBy(almanac, 'p').offsets, nowMs)

it('shows the clocks of today, and behind its end those of its last day', () => {
  expect([SUMMER - HOUR, SUMMER, almanac.until_ms + HOUR].map(shows)).toEqual(['00:00', '02:00', '02:00'])
})

it('is over at its end, and not before', () => {
  expect([isOver(almanac, almanac.until_ms - 1), isOver(almanac, almanac.until_ms)]).toEqual([false, true])
})

it('knows no offset where no almanac has come: clocks are hidden then', () => {
  expect(datesBy(null, 'p')).toEqual({ days: [], offsets: [] })
})
