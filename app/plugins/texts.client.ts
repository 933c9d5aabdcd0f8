import { readDecimalSignFrom } from '#core/quantity'
import { defineNuxtPlugin } from '#imports'
import {
  isLanguage,
  provideTexts,
  provideTradeTexts,
  readLanguageFrom,
  type BrowserTexts,
  type Language,
  decimalSignOf,
} from '#shared/i18n'
import { $api } from '~/data/api'
import { useLanguageCookie, useDecimalCookie } from '~/data/languageCookie'

/** The messages are there before the first component asks for one; another language begins a new page. */
export default defineNuxtPlugin({
  name: 'texts',
  enforce: 'pre',
  async setup() {
    const cookie = useLanguageCookie()
    // Who never chose is spoken to as the browser is.
    if (!isLanguage(cookie.value)) cookie.value = languageOfBrowser()
    const language = cookie.value as Language
    document.documentElement.lang = language
    readLanguageFrom(() => language)
    const sign = decimalSignOf(useDecimalCookie().value, language)
    readDecimalSignFrom(() => sign)
    const { messages, trade } = await $api<BrowserTexts>(`/api/texts/${language}`)
    provideTexts(language, messages)
    provideTradeTexts(language, trade)
  },
})

function languageOfBrowser(): Language {
  const spoken = navigator.language.slice(0, 2)
  return isLanguage(spoken) ? spoken : 'en'
}
