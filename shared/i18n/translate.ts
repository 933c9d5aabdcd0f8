import { decimalSign, withDecimalSign } from '#core/quantity'
import { IntlMessageFormat } from 'intl-messageformat'
import type { MessageCode, Texts } from './codes'
import { inSign } from './decimal'
import { LOCALES, language, type Language } from './language'

export type MessageParams = Readonly<Record<string, string | number | boolean | null | undefined>>

interface Catalogue {
  readonly texts: Texts
  readonly compiled: Map<string, IntlMessageFormat>
}

const catalogues = new Map<Language, Catalogue>()

/** Messages of a language, before the first one is shown. */
export function provideTexts(of: Language, texts: Texts): void {
  catalogues.set(of, { texts, compiled: new Map() })
}

/**
 * A message in the language that is spoken.
 * @param params what stands in the braces of its ICU text; numbers are shown as they are
 * @throws {Error} where no texts of the language were provided: a fault of the program, never of its user
 */
export function t(code: MessageCode, params?: MessageParams): string {
  const of = language()
  const catalogue = catalogues.get(of)
  const text = catalogue?.texts[code]
  if (!catalogue || text === undefined) throw new Error(`no text in ${of} for ${code}`)
  // Most messages take nothing, whatever is given; they are not worth a parser, and a browser has none.
  if (typeof text === 'string' && !text.includes('{')) return inSign(text, of)
  const compiledFor = `${decimalSign()}${code}`
  let format = catalogue.compiled.get(compiledFor)
  if (!format) {
    format = new IntlMessageFormat(allInSign(text, of), LOCALES[of], undefined, { ignoreTag: true })
    catalogue.compiled.set(compiledFor, format)
  }
  return String(format.format(params && withSign(params)))
}

/** A message, parsed or not, with the decimal sign that is shown in all its words. */
function allInSign<T>(text: T, written: Language): T {
  const shown = (part: unknown): unknown => {
    if (typeof part === 'string') return inSign(part, written)
    if (Array.isArray(part)) return part.map(shown)
    if (part === null || typeof part !== 'object') return part
    return Object.fromEntries(Object.entries(part).map(([name, value]) => [name, shown(value)]))
  }
  return shown(text) as T
}

/** Fractions as numbers are shown here; whole ones stay numbers, which plurals choose by. */
function withSign(params: MessageParams): MessageParams {
  return Object.fromEntries(
    Object.entries(params).map(([name, value]) => [
      name,
      typeof value === 'number' && !Number.isInteger(value) ? withDecimalSign(String(value)) : value,
    ]),
  )
}

/** Whether a text is the code of a message. */
export function hasMessage(text: string): text is MessageCode {
  return catalogues.get(language())?.texts[text] !== undefined
}
