import { AsyncLocalStorage } from 'node:async_hooks'
import { getCookie, type H3Event } from 'h3'
import { isLanguage, type Language } from '#shared/i18n'

const spoken = new AsyncLocalStorage<Language>()

/** Language of the request that is being answered; English where there is none. */
export const spokenLanguage = (): Language => spoken.getStore() ?? 'en'

/** Does a piece of work in a language: a request in that of its page, a paper in that of its owner. */
export const inLanguage = <T>(language: Language, work: () => T): T => spoken.run(language, work)

/** The language that was chosen in the browser of a request. */
export function languageOf(event: H3Event): Language {
  const chosen = getCookie(event, 'language')
  return isLanguage(chosen) ? chosen : 'en'
}
