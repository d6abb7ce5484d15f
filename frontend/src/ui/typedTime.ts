/** Seconds as they are typed: `8`, `8 s`, `2.5`, or as a clock, `0:08`, `1:30`, `1:02:03`; null for anything else. */
export function typedSeconds(text: string): number | null {
  const plain = text.replace(/\s*s$/, '').replace(',', '.').trim()
  if (/^-?\d+(\.\d+)?$/.test(plain)) return Number(plain)
  return /^(\d{1,3}:){1,2}[0-5]?\d(\.\d{1,3})?$/.test(plain)
    ? plain.split(':').reduce((sum, part) => sum * 60 + Number(part), 0)
    : null
}
