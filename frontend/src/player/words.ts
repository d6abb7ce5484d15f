import words from './words.en.json'

/** The few words of the stand-in player, from its own small catalogue: it carries no message library. */
export function say(key: keyof typeof words, about: Record<string, string | number> = {}): string {
  return words[key].replace(/\{(\w+)\}/g, (_, name: string) => String(about[name] ?? ''))
}
