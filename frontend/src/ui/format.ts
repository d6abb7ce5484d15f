/** Measures as people read them, always with their unit. Formatting only: the numbers are the core's. */
export const seconds = (ms: number | null): string => (ms === null ? '' : `${(ms / 1000).toFixed(1)} s`)
/** As a clock that was started: 1:05, 1:00:05; with tenths where there are any. */
export function clock(ms: number): string {
  const all = Math.floor(ms / 1000)
  const tenths = Math.floor(ms / 100) % 10
  const two = (value: number): string => String(value).padStart(2, '0')
  const [hours, minutes, rest] = [Math.floor(all / 3600), Math.floor(all / 60) % 60, all % 60]
  const end = tenths ? `${two(rest)}.${tenths}` : two(rest)
  return hours ? `${hours}:${two(minutes)}:${end}` : `${minutes}:${end}`
}
/** An exact number of times as it is read: whole, or to a tenth. */
export const often = (times: string): string => String(Number(Number(times).toFixed(1)))
export const pixels = (width: number, height: number): string => `${width} × ${height} px`
/** By its name, by small numbers, or as a decimal: nobody reads 7731:1760. */
export function ratioText({ exact, name }: { exact: string; name: string | null }): string {
  const [width = 1, height = 1] = exact.split(':').map(Number)
  if (name !== null || Math.max(width, height) < 100) return name ?? exact
  return width >= height ? `${(width / height).toFixed(2)}:1` : `1:${(height / width).toFixed(2)}`
}
export const percent = (share: number): string => `${(share * 100).toFixed(1)} %`
export const fileSize = (bytes: number): string =>
  bytes < 1000
    ? `${bytes} B`
    : bytes < 1e6
      ? `${(bytes / 1e3).toFixed(0)} kB`
      : bytes < 1e9
        ? `${(bytes / 1e6).toFixed(1)} MB`
        : `${(bytes / 1e9).toFixed(2)} GB`
export const timeOfDay = (iso: string | number, zone: string): string =>
  new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  }).format(new Date(iso))
/** A day as it is written in notes, 2026-12-24. */
export const dayOf = (day: string): string =>
  new Intl.DateTimeFormat('en-GB', { timeZone: 'UTC', day: 'numeric', month: 'short', year: 'numeric' }).format(
    new Date(`${day}T00:00Z`),
  )
const short = (value: number): string => String(Number(value.toFixed(1)))
export const millimetres = ([width, height]: [number, number]): string => `${short(width)} × ${short(height)} mm`
export const inches = ([width, height]: [number, number]): string =>
  `${(width / 25.4).toFixed(1)} × ${(height / 25.4).toFixed(1)} in`
/** Half up in whole decimetres: 1150 mm are 1.2 m, whatever a binary fraction makes of 1.15. */
export const metres = (mm: number): string => `${Math.round(mm / 100) / 10} m`

/** What there is of some words, with commas between. */
export const listed = (...words: (string | false | null | undefined)[]): string => words.filter(Boolean).join(', ')

const civilDay = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' })
/** A stretch of civil time, each `2026-12-07T05:40:00`; the day once where both are on it. */
export function civilSpan([from, until]: [string, string]): string {
  const day = (civil: string): string => civilDay.format(new Date(`${civil}Z`))
  const time = (civil: string): string => civil.slice(11, civil.endsWith(':00') ? 16 : 19)
  const end = day(from) === day(until) ? time(until) : `${day(until)} ${time(until)}`
  return `${day(from)} ${time(from)} to ${end}`
}
