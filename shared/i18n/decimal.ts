import { decimalSign, type DecimalSign } from '#core/quantity'
import type { Language } from './language'

/** What is usual where a language is spoken, until someone chooses; the catalogue is written with it. */
const USUAL: Readonly<Record<Language, DecimalSign>> = { en: '.', es: ',' }

/** The decimal sign of a page or a paper: the one that was chosen, else that of its language. */
export const decimalSignOf = (chosen: unknown, language: Language): DecimalSign =>
  chosen === '.' || chosen === ',' ? chosen : USUAL[language]

/**
 * Up to the sign of a decimal number within a sentence. Digits behind a letter are part of a name ("A1.5"),
 * several signs those of a list or a date, and what stands behind "CFR" is the number of a paragraph.
 */
const WHOLE_AND_SIGN = /(?<![\w.,]|CFR )(\d+)[.,](?=\d+(?!\w*[.,]\d))/g

/** Whether a sentence holds a decimal number. */
export const hasDecimal = (text: string): boolean => text.search(WHOLE_AND_SIGN) >= 0

/** A sentence of ours with the decimal sign that is shown. @param written language that it is written in */
export const inSign = (text: string, written: Language): string =>
  decimalSign() === USUAL[written] ? text : text.replace(WHOLE_AND_SIGN, `$1${decimalSign()}`)
