import type { DecimalSign } from '#core/quantity'
import type { Language } from './language'

/** What is usual where a language is spoken, until someone chooses. */
const USUAL: Readonly<Record<Language, DecimalSign>> = { en: '.', es: ',' }

/** The decimal sign of a page or a paper: the one that was chosen, else that of its language. */
export const decimalSignOf = (chosen: unknown, language: Language): DecimalSign =>
  chosen === '.' || chosen === ',' ? chosen : USUAL[language]
