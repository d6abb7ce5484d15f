import { IntlMessageFormat } from 'intl-messageformat'
import { createI18n, type MessageFunction } from 'vue-i18n'
import en from './en.json'

/** Messages are ICU MessageFormat, like the core's. */
export const i18n = createI18n({
  legacy: false,
  locale: 'en',
  messages: { en },
  messageCompiler: (message, { locale }) => {
    const format = new IntlMessageFormat(typeof message === 'string' ? message : '', locale)
    return ((context: { values: Record<string, string | number> }) =>
      String(format.format(context.values))) as unknown as MessageFunction<string>
  },
})
