import en from '#i18n/en'
import es from '#i18n/es'
import { parse } from '@formatjs/icu-messageformat-parser'
import { textsByCode, type Texts } from './codes'
import type { Language } from './language'
import { provideTexts } from './translate'

/** All messages of all languages, for processes that speak each: server, command line, tests. */
export const EVERY_LANGUAGE: Readonly<Record<Language, Readonly<Record<string, string>>>> = {
  en: textsByCode(en),
  es: textsByCode(es),
}

export function provideEveryLanguage(): void {
  provideTexts('en', EVERY_LANGUAGE.en)
  provideTexts('es', EVERY_LANGUAGE.es)
}

/** Texts of a language as a browser takes them: what has braces is parsed already. */
export function parsedTexts(of: Language): Texts {
  return Object.fromEntries(
    Object.entries(EVERY_LANGUAGE[of]).map(([code, text]) => [
      code,
      /[{}']/.test(text) ? parse(text, { ignoreTag: true }) : text,
    ]),
  )
}
