export { textsByCode, type MessageCode, type Texts } from './codes'
export { LANGUAGES, LOCALES, isLanguage, language, readLanguageFrom, type Language } from './language'
export { hasMessage, provideTexts, t, type MessageParams } from './translate'
