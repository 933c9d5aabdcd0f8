import { figureOf, type Quantity, type Reading } from '../quantity'
import type { RowState } from './matrixState'

/** The last reading of a quantity in a row, a bound too. */
export const readingIn = (row: RowState | undefined, quantity: Quantity): Reading | null =>
  row?.cells.find(c => c.want.quantity === quantity)?.latest?.reading ?? null

/** The same where arithmetic can be done with it. */
export const figureIn = (row: RowState | undefined, quantity: Quantity): Reading | null =>
  figureOf(readingIn(row, quantity))
