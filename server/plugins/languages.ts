import { readDecimalSignFrom } from '#core/quantity'
import { provideEveryLanguage } from '#shared/i18n/everyLanguage'
import { readLanguageFrom } from '#shared/i18n'
import { spokenDecimalSign, spokenLanguage } from '../utils/language'

/** Every language is there before the first request; each request speaks its own. */
export default () => {
  provideEveryLanguage()
  readLanguageFrom(spokenLanguage)
  readDecimalSignFrom(spokenDecimalSign)
}
