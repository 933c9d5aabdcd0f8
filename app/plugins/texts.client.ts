import { defineNuxtPlugin, useCookie } from '#imports'
import {
  isLanguage,
  provideTexts,
  provideTradeTexts,
  readLanguageFrom,
  type BrowserTexts,
  type Language,
} from '#shared/i18n'
import { $api } from '~/data/api'

/** The messages are there before the first component asks for one; another language begins a new page. */
export default defineNuxtPlugin({
  name: 'texts',
  enforce: 'pre',
  async setup() {
    const chosen = useCookie('language').value
    const language: Language = isLanguage(chosen) ? chosen : 'en'
    readLanguageFrom(() => language)
    const { messages, trade } = await $api<BrowserTexts>(`/api/texts/${language}`)
    provideTexts(language, messages)
    provideTradeTexts(language, trade)
  },
})
