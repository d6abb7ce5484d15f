import { IntlMessageFormat } from 'intl-messageformat'
import { createI18n, type MessageFunction } from 'vue-i18n'
import en from './en.json'

/** A compiler of one's own is asked anew for every word that is drawn; each message is read once. */
const compiled = new Map<string, MessageFunction<string>>()

function compile(message: string, locale: string): MessageFunction<string> {
  const format = new IntlMessageFormat(message, locale)
  return ((context: { values: Record<string, string | number> }) =>
    String(format.format(context.values))) as unknown as MessageFunction<string>
}

/** Messages are ICU MessageFormat, like the core's. */
export const i18n = createI18n({
  legacy: false,
  locale: 'en',
  messages: { en },
  messageCompiler: (message, { locale }) => {
    const text = typeof message === 'string' ? message : ''
    const key = `${locale} ${text}`
    const known = compiled.get(key) ?? compile(text, locale)
    compiled.set(key, known)
    return known
  },
})
