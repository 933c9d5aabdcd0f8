import type { Quantity } from '#core/quantity'
import type { RowState } from '#core/run'

/**
 * Rows that are owed, of which nothing was read, and nothing can be: no instrument here reads any of their
 * quantities.
 */
export const unreadableRows = (
  rows: readonly RowState[],
  canRead: (quantity: Quantity) => boolean,
): readonly RowState[] =>
  rows.filter(r => r.isOpen && r.cells.every(c => c.latest === null && !canRead(c.want.quantity)))

/** What would have to be read of them, each once. */
export const quantitiesOf = (rows: readonly RowState[]): readonly Quantity[] => [
  ...new Set(rows.flatMap(r => r.cells.map(c => c.want.quantity))),
]
