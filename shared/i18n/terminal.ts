import { isLanguage, type Language } from './language'

/** The language that a terminal speaks, by the variables that say so; English without one. */
export function terminalLanguage(env: Readonly<Record<string, string | undefined>>): Language {
  const locale = (env.LC_ALL ?? env.LC_MESSAGES ?? env.LANG ?? '').slice(0, 2)
  return isLanguage(locale) ? locale : 'en'
}
