import {
  powerRanges,
  type CellState,
  type ComparedCell,
  type PowerRange,
  type RowState,
  type TakenReading,
} from '#core/run'
import { groupDigits, type Reading } from '#core/quantity'
import type { ModelSheet } from '#core/sheet'
import { t, translated } from '#shared/i18n'
import { SIDE_WORDS, type Side } from './compareGauge'
import { measuredText } from './quantityWords'

/**
 * What each power control reaches, by the rows of one phase. A control one of whose ends is stale is left
 * out: its row says that it has to be read again.
 */
export const rangeWordsOfRows = (sheet: ModelSheet, rows: readonly RowState[]): string[] =>
  powerRanges(
    without(sheet, id => rows.some(r => r.point.id === id && r.stale)),
    id => powerOf(rows.find(r => r.point.id === id)?.cells ?? []),
  ).map(oneRange)

/** What each power control of the set as it is now reached as found, and reaches as left. */
export function rangeWordsOfCompared(
  sheet: ModelSheet,
  cells: readonly ComparedCell[],
  sides: readonly Side[],
): string[] {
  return sides.flatMap(side => {
    const powerAt = (id: string) =>
      powerOf(cells.filter(c => c.point.id === id && !c.isGone).map(c => c[side]))
    // As found is history: what was turned since does not spoil it.
    const standing = side === 'before' ? sheet : without(sheet, id => !!powerAt(id)?.staleBy.length)
    return powerRanges(standing, powerAt).map(r => `${t(SIDE_WORDS[side])}: ${oneRange(r)}`)
  })
}

const powerOf = (cells: readonly CellState[]): TakenReading | null =>
  cells.find(c => c.want.quantity === 'powerW')?.latest ?? null

const without = ({ powerControls = [] }: ModelSheet, isStale: (pointId: string) => boolean) => ({
  powerControls: powerControls.filter(c => !isStale(c.lowestPointId) && !isStale(c.highestPointId)),
})

const watts = (reading: Reading): string => measuredText(reading, 'powerW')

function oneRange({ name, lowest: low, highest: high, spanDb, effect }: PowerRange): string {
  const control = translated(name)
  if (!low) return t('run.powerRangeHighestOnly', { control, highest: watts(high!) })
  if (!high) return t('run.powerRangeLowestOnly', { control, lowest: watts(low) })
  const [lowest, highest] = [watts(low), watts(high)]
  if (effect === 'none') return t('run.powerRangeMovesNothing', { control, lowest, highest })
  if (effect === 'reversed') return t('run.powerRangeReversed', { control, lowest, highest })
  if (effect === 'works' && spanDb !== null)
    return t('run.powerRangeSpan', { control, lowest, highest, db: groupDigits(spanDb, 1) })
  const both = t('run.powerRange', { control, lowest, highest })
  return low.bound !== undefined && high.bound !== undefined ? `${both} ${t('run.powerRangeBounds')}` : both
}
