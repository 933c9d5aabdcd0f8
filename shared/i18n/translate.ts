import { withDecimalSign } from '#core/quantity'
import { IntlMessageFormat } from 'intl-messageformat'
import type { MessageCode, Texts } from './codes'
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
  if (typeof text === 'string' && !text.includes('{')) return text
  let format = catalogue.compiled.get(code)
  if (!format) {
    format = new IntlMessageFormat(text, LOCALES[of], undefined, { ignoreTag: true })
    catalogue.compiled.set(code, format)
  }
  return String(format.format(params && withSign(params)))
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
