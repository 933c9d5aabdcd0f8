import { CoreError } from '#core/errors'
import { parseTyped, quantityInfo, type Bound, type Quantity, type Reading, type Typed } from '#core/quantity'
import { ticksToAmperes } from '#core/run'
import type { Measurand } from '#core/sheet'
import { errorWords } from '#shared/words/messageWords'
import { typedReading, type TypedInstrument } from './typedInstrument'

/** A value that was read off and typed, and from what. */
export interface TypedValue {
  readonly quantity: Quantity
  readonly value: number
  readonly bound?: Bound | undefined
  readonly halfDigit?: number | undefined
  readonly instrument: TypedInstrument | null
}

/** What was typed in a field: a number, nothing yet (empty: it is left for later), or why it is none. */
export interface ReadText {
  readonly typed: Typed | null
  readonly problem: string | null
}

const isCurrent = (quantity: Quantity) => quantityInfo(quantity).siUnit === 'A'

/**
 * A number with or without its unit, a bound (">20"), or divisions of the set's own meter ("3 t").
 * @param tickA one division of that meter [A]; null = it has none
 */
export function readText(text: string, want: Measurand, tickA: number | null): ReadText {
  const trimmed = text.trim()
  if (trimmed === '') return { typed: null, problem: null }
  try {
    const ticked = tickA && isCurrent(want.quantity) ? ticksToAmperes(trimmed, tickA) : null
    const typed =
      ticked === null ? parseTyped(trimmed, want.quantity, want.menu) : { value: ticked, understood: trimmed }
    return { typed, problem: null }
  } catch (error) {
    if (!(error instanceof CoreError)) throw error
    return { typed: null, problem: errorWords(error) }
  }
}

/** The instrument that a quantity is typed from; the set's own meter with the division of this set. */
export const withTick = (
  chosen: TypedInstrument | null,
  quantity: Quantity,
  tickA: number | null,
): TypedInstrument | null => (chosen && tickA && isCurrent(quantity) ? { ...chosen, tick: tickA } : chosen)

/** A field of a row that holds a number. */
export const typedValue = (
  { value, bound, halfDigit }: Typed,
  quantity: Quantity,
  instrument: TypedInstrument | null,
): TypedValue => ({ quantity, value, bound, halfDigit, instrument })

/** What was typed as the reading that is kept. */
export const readingOf = (
  { quantity, value, bound, halfDigit, instrument }: TypedValue,
  id: string,
): Reading => ({
  id,
  quantity,
  ...typedReading(value, quantity, instrument, halfDigit),
  source: 'typed',
  instrument: instrument?.name ?? null,
  ...(bound ? { bound } : {}),
})
