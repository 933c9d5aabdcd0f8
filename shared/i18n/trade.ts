import { decimalSign } from '#core/quantity'
import { inSign } from './decimal'
import { language, type Language } from './language'

/**
 * Texts of the tables of core by their English. In English only those that hold a decimal number, which is
 * shown with the sign that was chosen; what people typed stands in no table and is never touched.
 */
export type TradeTexts = Readonly<Record<string, string>>

const tables = new Map<Language, TradeTexts>()

export function provideTradeTexts(of: Language, texts: TradeTexts): void {
  tables.set(of, texts)
}

/**
 * A text of a table of core in the language that is spoken: of a shipped sheet, a cause, a lesson, a name.
 * What people typed has no translation and stays as they typed it.
 */
export function translated(text: string): string {
  const known = tables.get(language())?.[text]
  return known === undefined ? text : inSign(known, language())
}

/**
 * Fields of the tables of core that hold texts. Not *setting* and *also* of a row, nor the *load*: readings
 * are kept under them and compared by them, so they are translated where they are shown.
 */
export const TEXT_FIELDS: ReadonlySet<string> = new Set(
  [
    'accuracyWords advice alsoSays bad because before caution cautions cause cure',
    'description devices doThis expected good hint how instruction label lookFor',
    'moves name outcomes ownerWord proves question region remedy say seen source',
    'title tool turn value what where why words',
  ].flatMap(fields => fields.split(' ')),
)

/** A table, or a row of one, with its texts in the language and with the decimal sign that are shown. */
export function withTextsTranslated<T>(table: T): T {
  const asWritten = language() === 'en' && decimalSign() === '.'
  return asWritten || !tables.has(language()) ? table : (mapped(table, '') as T)
}

/** @param field where it stands; under *outcomes* each key has a text of its own */
function mapped(value: unknown, field: string): unknown {
  if (typeof value === 'string') return TEXT_FIELDS.has(field) ? translated(value) : value
  if (Array.isArray(value)) return value.map(v => mapped(v, field))
  if (value === null || typeof value !== 'object') return value
  return Object.fromEntries(
    Object.entries(value).map(([key, v]) => [key, mapped(v, field === 'outcomes' ? field : key)]),
  )
}
