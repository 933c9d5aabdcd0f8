import { LANGUAGES } from '../../shared/i18n/language'

/** The page that every address of the application begins with. */
export const SHELL = '/'
/** The messages in each language, as a page asks for them before its first word. */
export const TEXTS: readonly string[] = LANGUAGES.map(language => `/api/texts/${language}`)
/** A server that has not begun to answer by then is taken to be away [ms]. */
export const ANSWER_WITHIN_MS = 4000
