import { adjusterOf, type Adjuster, type ModelSheet, type Step } from '../../sheet'
import type { History } from '../history'
import type { RowState } from '../matrixState'
import type { MeasurandState } from '../measurandState'
import { lawAdvice, type LawAdvice } from '../menu/lawAdvice'
import type { TakenReading } from '../takenReading'
import { originalCode } from './menuGoal'

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
  const now = codeWhile(latest, adjuster, past) ?? untouched(adjuster)
  return now === null ? null : lawAdvice(adjuster, now, latest.reading, requirement.nominalHz)

  function untouched({ designator }: Adjuster): number | null {
    if (past.turns.some(t => t.designator === designator)) return null
    return originalCode(asFound, { entry: designator, coverage: point.state.coverage })
  }
}

/** The value that was written down with a reading. */
function codeWhile({ row }: TakenReading, { designator }: Adjuster, past: History): number | null {
  const code = past.readings.findLast(
    t => t.row.id === row.id && t.struck === null && t.reading.quantity === 'menuCode',
  )
  const isSetSince = past.turns.some(t => t.designator === designator && code && t.order > code.order)
  return code && !isSetSince ? code.reading.value : null
}
