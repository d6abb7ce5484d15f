import { lastAt } from './lookup'
import type { ClockToken, CountToken, Offset } from './types'

const weekdays = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday']
const months = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
]
const two = (value: number): string => String(value).padStart(2, '0')

/** A clock's text at an instant: the offset is looked up in the plan's table, then the fields are read off as UTC. */
export function clockText(tokens: ClockToken[], offsets: Offset[], nowMs: number): string {
  const civil = civilAt(offsets, nowMs)
  return tokens.map((token) => ('text' in token ? token.text : field(token.field, civil))).join('')
}

/** The civil time there, as if it were UTC. */
function civilAt(offsets: Offset[], nowMs: number): Date {
  const step =
    offsets[
      Math.max(
        0,
        lastAt(offsets, nowMs, (one) => one.from_ms),
      )
    ]
  return new Date(nowMs + (step?.offset_s ?? 0) * 1000)
}

/** Whole seconds to an instant, or since; none beyond it. */
export function countText(tokens: CountToken[], atMs: number, up: boolean, nowMs: number): string {
  const seconds = Math.max(0, up ? Math.floor((nowMs - atMs) / 1000) : Math.ceil((atMs - nowMs) / 1000))
  return tokens
    .map((token) => {
      if ('text' in token) return token.text
      const whole = Math.floor(seconds / token.unit_s)
      return String(token.of === null ? whole : whole % token.of).padStart(token.digits, '0')
    })
    .join('')
}

/** Degrees clockwise from above of the hands for hours, minutes and seconds. */
export function handsAt(offsets: Offset[], nowMs: number): [number, number, number] {
  const civil = civilAt(offsets, nowMs)
  const [minutes, seconds] = [civil.getUTCMinutes(), civil.getUTCSeconds()]
  return [(civil.getUTCHours() % 12) * 30 + minutes / 2, minutes * 6 + seconds / 10, seconds * 6]
}

function field(name: string, civil: Date): string {
  const hours = civil.getUTCHours()
  const twelve = ((hours + 11) % 12) + 1
  const weekday = weekdays[civil.getUTCDay()] ?? ''
  const month = months[civil.getUTCMonth()] ?? ''
  const fields: Record<string, string> = {
    H: String(hours),
    HH: two(hours),
    h: String(twelve),
    hh: two(twelve),
    mm: two(civil.getUTCMinutes()),
    ss: two(civil.getUTCSeconds()),
    a: hours < 12 ? 'am' : 'pm',
    EEE: weekday.slice(0, 3),
    EEEE: weekday,
    d: String(civil.getUTCDate()),
    dd: two(civil.getUTCDate()),
    M: String(civil.getUTCMonth() + 1),
    MM: two(civil.getUTCMonth() + 1),
    MMM: month.slice(0, 3),
    MMMM: month,
    y: String(civil.getUTCFullYear()),
    yyyy: String(civil.getUTCFullYear()),
  }
  return fields[name] ?? ''
}
