import type { CellState, RowState, TakenReading } from '#core/run'
import { t } from '#shared/i18n'
import { quantityLabel } from './quantityWords'
import { midSentence } from './sentence'
import { turnedNames } from './turnedNames'

type TakenCell = CellState & { readonly latest: TakenReading }
const isTaken = (cell: CellState): cell is TakenCell => cell.latest !== null

/**
 * Rows "as found" that were read when the set was no longer as it came: what something moves that had been
 * turned, by what it was; and what was read late, with nothing turned that moves it.
 */
export function lateWords(asFound: readonly RowState[]): string[] {
  const moved = new Map<string, string[]>()
  const late: string[] = []
  for (const row of asFound) {
    const taken = row.cells.filter(isTaken)
    const cells = taken.filter(c => c.latest.turnedBefore.length > 0)
    if (cells.length > 0) {
      const by = turnedNames(cells.flatMap(c => c.latest.turnedBefore))
      moved.set(by, [...(moved.get(by) ?? []), placeOf(row, taken, cells)])
    } else if (taken.some(c => c.latest.isAfterWork)) late.push(row.point.title)
  }
  return [
    ...[...moved].map(([list, rows]) => t('run.notAsItCame', { list, rows: rows.join('; ') })),
    ...(late.length > 0 ? [t('run.readAfterWork', { rows: late.join('; ') })] : []),
  ]
}

/** The row, and what of it is meant where the rest of it is as it came. */
function placeOf({ point }: RowState, taken: readonly TakenCell[], meant: readonly TakenCell[]): string {
  if (meant.length === taken.length) return point.title
  return `${point.title} (${meant.map(c => midSentence(quantityLabel(c.want.quantity))).join(', ')})`
}
