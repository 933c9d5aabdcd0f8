import type { Quantity } from '../quantity'
import { judgedVerdict, type RuleSet, type Verdict } from '../rules'
import type { MeasurePoint, ModelSheet, ReadingOf, Step, Measurand } from '../sheet'
import { biasState, type BiasState } from './bias/biasState'
import type { MeasurandState } from './measurandState'
import { criterionState, type CriterionState } from './criterion'
import type { History } from './history'
import type { Turn } from './staleBy'
import type { JobEvent, StepConfirmed } from './jobEvent'
import { requirementOf, judgeRequirement } from './judgeReading'

/** measured = read, and nothing is asked of what was read */
export type StepStatus = Verdict | 'measured' | 'not-measured' | 'in-progress' | 'stale' | 'skipped'

/** What each is called, in the catalogue. */
export const STATUS_CODES = {
  'inside': 'verdict.within',
  'above': 'common.above',
  'below': 'common.below',
  'cannot-tell': 'common.cannotTell',
  'measured': 'verdict.measured',
  'stale': 'verdict.recheck',
  'not-measured': 'common.notMeasured',
  'in-progress': 'verdict.inProgress',
  'skipped': 'common.skipped',
} as const satisfies Readonly<Record<StepStatus, string>>

export interface StepState {
  readonly step: Step
  readonly wants: readonly MeasurandState[]
  readonly criterion: CriterionState | null
  /** where the bias stands, device by device; null = the step sets none */
  readonly bias: BiasState | null
  readonly status: StepStatus
  /** turns that made one of its latest readings stale */
  readonly staleBy: readonly Turn[]
  readonly confirmed: StepConfirmed | null
  readonly reopened: string | null
  /** what depends on it may go on */
  readonly satisfied: boolean
}

/** Latest current (not struck, not stale) value at a step. */
export function currentReadingOf(past: History): ReadingOf {
  return (stepId: string, quantity: Quantity, pointId?: string) =>
    past.readings.findLast(
      t =>
        t.row.stepId === stepId &&
        (pointId === undefined || t.row.pointId === pointId) &&
        t.reading.quantity === quantity &&
        t.struck === null &&
        t.staleBy.length === 0,
    )?.reading.value
}

/** State of one step; `skipSource` is the state of the step named by skipIf. */
export function stepState(
  sheet: ModelSheet,
  rules: RuleSet,
  step: Step,
  past: History,
  events: readonly JobEvent[],
  skipSource: StepState | null,
): StepState {
  const wants = step.points.flatMap(point =>
    point.wants.map(want => wantState(sheet, rules, step, point, want, past)),
  )
  const criterion = criterionState(step, wants, past)
  const staleBy = [
    ...new Map(
      wants.flatMap(w => w.latest?.staleBy ?? []).map(t => [`${t.designator}@${t.order}`, t]),
    ).values(),
  ]
  const last = events.findLast(
    e => (e.kind === 'step-confirmed' || e.kind === 'step-reopened') && e.stepId === step.id,
  )
  const confirmed = last?.kind === 'step-confirmed' ? last : null
  const bias = step.bias ? biasState(step.bias, wants) : null
  const measured = measuredStatus(wants, criterion, step, bias)
  const skipped = confirmed?.outcome === 'skipped' && takenSince(wants, events.indexOf(confirmed)) === 0
  const status: StepStatus = skipped ? 'skipped' : measured
  return {
    step,
    wants,
    criterion,
    bias,
    status,
    staleBy,
    confirmed,
    reopened: last?.kind === 'step-reopened' ? last.reason : null,
    satisfied: isSatisfied(
      step,
      status,
      measured,
      confirmed,
      skipSource,
      takenSince(wants, confirmed ? events.indexOf(confirmed) : Infinity),
    ),
  }
}

function wantState(
  sheet: ModelSheet,
  rules: RuleSet,
  step: Step,
  point: MeasurePoint,
  want: Measurand,
  past: History,
): MeasurandState {
  const requirement = requirementOf(sheet, rules, want, point.state, currentReadingOf(past))
  const latest =
    past.readings.findLast(
      t =>
        t.struck === null &&
        t.row.stepId === step.id &&
        t.row.pointId === point.id &&
        t.reading.quantity === want.quantity,
    ) ?? null
  return {
    point,
    want,
    requirement,
    latest,
    judgement: latest ? judgeRequirement(latest.reading, requirement) : null,
  }
}

/**
 * What the readings alone say. Peaking keeps its outcome when the coils move on: balancing leaves the peak on
 * purpose.
 */
function measuredStatus(
  wants: readonly MeasurandState[],
  criterion: CriterionState | null,
  step: Step,
  bias: BiasState | null,
): StepStatus {
  const latest = wants.map(w => w.latest)
  if (latest.every(l => l === null)) return 'not-measured'
  if (step.criterion?.kind !== 'peak' && latest.some(l => l !== null && l.staleBy.length > 0)) return 'stale'
  const verdicts = wants.map(w => w.judgement?.verdict)
  const outside = verdicts.find(v => v === 'above' || v === 'below')
  if (outside) return outside
  if (bias?.alike === false || bias?.devices.some(d => d.tooHot)) return 'above'
  if (latest.some(l => l === null) || criterion?.met === null) return 'in-progress'
  if (criterion?.met === false) return criterion.kind === 'spread' ? 'above' : 'in-progress'
  if (verdicts.includes('cannot-tell')) return 'cannot-tell'
  const isJudged =
    criterion !== null || bias !== null || wants.some(w => w.judgement && judgedVerdict(w.judgement) !== null)
  return isJudged ? 'inside' : 'measured'
}

function takenSince(wants: readonly MeasurandState[], order: number): number {
  return wants.filter(w => w.latest !== null && w.latest.order > order).length
}

/**
 * A deciding step whose outcome makes work unnecessary: inside, or left alone since the meter cannot tell.
 */
export function leavesAlone({ step, satisfied, status, confirmed }: StepState): boolean {
  if (!satisfied) return false
  return status === 'inside' || (step.decides && status === 'cannot-tell' && confirmed?.outcome === 'done')
}

/**
 * Done: confirmed, current, inside, or with nothing asked of it. As-is: accepted with a reason, as long as it
 * is current and nothing was read since. Skipped: only while the step that made it unnecessary is inside and
 * current. A deciding step that found work to do has done its part even when that work makes its readings
 * stale.
 */
function isSatisfied(
  step: Step,
  status: StepStatus,
  measured: StepStatus,
  confirmed: StepConfirmed | null,
  skipSource: StepState | null,
  since: number,
): boolean {
  if (!confirmed) return false
  if (status === 'skipped') return skipSource !== null && leavesAlone(skipSource)
  if (measured === 'inside' || measured === 'measured') return true
  if (step.decides && confirmed.outcome === 'done' && measured === 'cannot-tell') return true
  if (step.decides && confirmed.outcome === 'as-is') return measured !== 'not-measured'
  return confirmed.outcome === 'as-is' && since === 0 && measured !== 'stale' && measured !== 'not-measured'
}
