import { adjusterOf, type ModelSheet, type Step } from '../../sheet'
import type { History } from '../history'
import type { RowState } from '../matrixState'
import type { MeasurandState } from '../measurandState'
import { lawAdvice, type LawAdvice } from '../menu/lawAdvice'
import type { TakenReading } from '../takenReading'
import { untouchedCode } from './menuGoal'

/**
 * The menu value that a step asks for next, where its one adjuster says what its number stands for.
 *
 * Only from a reading that is current and not within, and from the value that the set had while it was read:
 * the one in the same row, or that of as found while nothing says that the entry was set.
 */
export function lawGuide(
  sheet: ModelSheet,
  { adjusters: turned }: Step,
  { point, latest, judgement, requirement }: MeasurandState,
  past: History,
  asFound: readonly RowState[],
): LawAdvice | null {
  const adjuster = turned.length === 1 ? adjusterOf(sheet, turned[0]!) : null
  if (!adjuster?.law || !latest || latest.staleBy.length > 0 || judgement?.verdict === 'inside') return null
  const at = { entry: adjuster.designator, coverage: point.state.coverage }
  // What is current was read after the last turn, so that the value in its row is the one that stands.
  const now = codeIn(latest, past) ?? untouchedCode(asFound, sheet, past, at)
  return now === null ? null : lawAdvice(adjuster, now, latest.reading, requirement.nominalHz)
}

/** The value that was written down with a reading. */
const codeIn = ({ row }: TakenReading, past: History): number | null =>
  past.readings.findLast(t => t.row.id === row.id && t.struck === null && t.reading.quantity === 'menuCode')
    ?.reading.value ?? null
