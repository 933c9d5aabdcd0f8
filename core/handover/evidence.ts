import type { Quantity } from '../quantity'
import type { RuleSet } from '../rules'
import { judgeRequirement, requirementOf, type RunState, type TakenReading } from '../run'
import { CoreError } from '../errors'
import { modulationOf, pointOf, type MeasurePoint, type ModelSheet, type Measurand } from '../sheet'

/** A reading that says how the set stands now: valid, current, and the last under its conditions. */
export interface CurrentReading {
  readonly taken: TakenReading
  readonly point: MeasurePoint
  readonly want: Measurand
}

/**
 * The readings that papers may speak of as "now": as left, in the alignment and in the soak, not struck out
 * and not overtaken by work. What was found before work began is none of them, but in a check: nothing is
 * changed there, and what was found says how the set is until something is replaced or treated.
 */
export function currentReadings(sheet: ModelSheet, run: RunState): CurrentReading[] {
  const last = new Map<string, CurrentReading>()
  for (const taken of run.history.readings) {
    if (taken.struck !== null || (taken.row.phase === 'as-found' && !stillHolds(taken, run))) continue
    if (taken.order < run.putBackAt) continue
    const row = rowOf(sheet, taken)
    if (!row) continue
    const key = conditionsKey(taken)
    if (taken.staleBy.length > 0) last.delete(key)
    else last.set(key, { taken, ...row })
  }
  return [...last.values()]
}

const stillHolds = ({ order }: TakenReading, { jobKind, mendedAt }: RunState) =>
  jobKind === 'check' && order > mendedAt

/** As left, on the alignment or found: every reading of a quantity, whatever became of it. */
export function wasMeasured({ history }: RunState, quantity: Quantity): boolean {
  return history.readings.some(t => t.struck === null && t.reading.quantity === quantity)
}

function rowOf(
  sheet: ModelSheet,
  { row, reading }: TakenReading,
): { point: MeasurePoint; want: Measurand } | null {
  try {
    const point = pointOf(sheet, row.stepId, row.pointId)
    const want = point.wants.find(w => w.quantity === reading.quantity)
    return want ? { point, want } : null
  } catch (error) {
    // A row that a later correction of the sheet took away is no evidence.
    if (error instanceof CoreError) return null
    throw error
  }
}

function conditionsKey({ row: { conditions: c }, reading }: TakenReading): string {
  return [
    reading.quantity,
    c.mode,
    c.channel,
    c.lowPower,
    c.powerPosition,
    c.coverage,
    c.setting,
    modulationOf(c),
    c.toneHz,
    c.toneV,
    c.inputV,
  ].join(' ')
}

/** The verdict of the legal limit alone with the bound that it passes [SI], or null when none applies. */
export function legalVerdict(sheet: ModelSheet, rules: RuleSet, { taken, want, point }: CurrentReading) {
  const requirement = requirementOf(
    sheet,
    rules,
    // What the sheet calls for counts here only as what an error is told against.
    { ...want, target: want.target?.kind === 'nominal-error' ? want.target : null },
    { ...point.state, ...taken.row.conditions },
  )
  if (!requirement.limit || requirement.limit.kind !== 'legal') return null
  const reason = judgeRequirement(taken.reading, requirement).reasons.find(r => r.rule === 'limit')
  if (!reason?.verdict) return null
  const passed = reason.verdict === 'above' ? reason.high : reason.low
  const beyond = reason.verdict === 'above' || reason.verdict === 'below' ? passed : null
  return { limit: requirement.limit, verdict: reason.verdict, undecided: reason.undecided, beyond }
}
