export const LANGUAGES = ['en', 'es'] as const

export type Language = (typeof LANGUAGES)[number]

/** Each in its own words: that is how it is found by whoever speaks it. */
export const LANGUAGE_NAMES: Readonly<Record<Language, string>> = { en: 'English', es: 'Español' }

/** Locale of plurals, months and counts. */
export const LOCALES: Readonly<Record<Language, string>> = { en: 'en', es: 'es' }

let read: () => Language = () => 'en'

/** The language spoken here and now: of the page in a browser, of the request or the paper on the server. */
export const language = (): Language => read()

/** Says where the language comes from: once, when a browser or a server starts. */
export function readLanguageFrom(source: () => Language): void {
  read = source
}

export function isLanguage(text: unknown): text is Language {
  return LANGUAGES.some(l => l === text)
}
