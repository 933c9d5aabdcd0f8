export { textsByCode, type BrowserTexts, type MessageCode, type Texts } from './codes'
export { decimalSignOf } from './decimal'
export {
  LANGUAGES,
  LANGUAGE_NAMES,
  LOCALES,
  isLanguage,
  language,
  readLanguageFrom,
  type Language,
} from './language'
export { TEXT_FIELDS, provideTradeTexts, translated, withTextsTranslated, type TradeTexts } from './trade'
export { hasMessage, provideTexts, t, type MessageParams } from './translate'
