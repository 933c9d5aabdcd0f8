import en from '#i18n/en'
import es from '#i18n/es'
import esTrade from '#i18n/es/trade'
import { parse } from '@formatjs/icu-messageformat-parser'
import { hasDecimal } from './decimal'
import { textsByCode, type BrowserTexts, type Texts } from './codes'
import { LANGUAGES, type Language } from './language'
import { provideTradeTexts, type TradeTexts } from './trade'
import { provideTexts } from './translate'

/** All messages of all languages, for processes that speak each: server, command line, tests. */
export const EVERY_LANGUAGE: Readonly<Record<Language, Readonly<Record<string, string>>>> = {
  en: textsByCode(en),
  es: textsByCode(es),
}

/** Texts of the tables of core by language; they are written in English. */
const TRADE_TEXTS: Readonly<Record<Language, TradeTexts>> = {
  en: Object.fromEntries(
    Object.keys(esTrade)
      .filter(hasDecimal)
      .map(text => [text, text]),
  ),
  es: esTrade,
}

/** A text of a table of core in every language. */
export const inEveryLanguage = (text: string): readonly string[] =>
  LANGUAGES.map(language => TRADE_TEXTS[language][text] ?? text)

export function provideEveryLanguage(): void {
  for (const language of LANGUAGES) {
    provideTexts(language, EVERY_LANGUAGE[language])
    provideTradeTexts(language, TRADE_TEXTS[language])
  }
}

/** Texts of a language as a browser takes them: what has braces is parsed already. */
export function textsForBrowser(of: Language): BrowserTexts {
  const messages: Texts = Object.fromEntries(
    Object.entries(EVERY_LANGUAGE[of]).map(([code, text]) => [
      code,
      /[{}']/.test(text) ? parse(text, { ignoreTag: true }) : text,
    ]),
  )
  return { messages, trade: TRADE_TEXTS[of] }
}
