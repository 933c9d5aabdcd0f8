import { defineNuxtPlugin, useCookie } from '#imports'
import { isLanguage, provideTexts, readLanguageFrom, type Language, type Texts } from '#shared/i18n'
import { $api } from '~/data/api'

/** The messages are there before the first component asks for one; another language begins a new page. */
export default defineNuxtPlugin({
  name: 'texts',
  enforce: 'pre',
  async setup() {
    const chosen = useCookie('language').value
    const language: Language = isLanguage(chosen) ? chosen : 'en'
    readLanguageFrom(() => language)
    provideTexts(language, await $api<Texts>(`/api/texts/${language}`))
  },
})
