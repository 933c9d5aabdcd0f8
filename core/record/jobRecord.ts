import { quantityInfo, type Bound } from '../quantity'
import { settleClaim, type Claim, type ClaimOutcome } from '../claims'
import { judgedVerdict, type FrozenRuleSet, type RuleSet, type Verdict } from '../rules'
import type { ModelSheet, SchoolChoices } from '../sheet'
import {
  keyDownTotals,
  type CellState,
  type JobKind,
  type JobSheets,
  type JobEvent,
  type OpenItem,
} from '../run'
import { jobState, type JobState } from '../work'

/** The exchange format of a job: docs/formats/job-record.schema.json describes it. */
export const JOB_RECORD_FORMAT = 'diapason-job-record'
export const JOB_RECORD_VERSION = 1

/** Who and what the job is about, as the record carries it. */
export interface RecordedJob {
  readonly tag: string
  readonly owner: string
  readonly serial: string
  readonly complaint: string
  readonly claims: readonly Claim[]
  readonly accessories: string
  readonly boxNote: string
  /** choices between schools that its steps and targets follow */
  readonly schools: SchoolChoices
  readonly mayDo: string
  readonly promisedOn: string | null
  readonly createdAtMs: number
}

interface RecordedValue {
  readonly value: number
  readonly bound: Bound | null
  readonly standardUncertainty: number | null
  readonly instrument: string | null
  readonly source: string
  /** null = nothing is asked of it */
  readonly verdict: Verdict | null
  readonly atMs: number
}

interface RecordedSheet {
  readonly id: string
  readonly model: string
  readonly revision: number
}
const recordedSheet = ({ id, model, revision }: ModelSheet): RecordedSheet => ({ id, model, revision })

export interface JobRecord {
  readonly format: typeof JOB_RECORD_FORMAT
  readonly version: typeof JOB_RECORD_VERSION
  readonly exportedAtMs: number
  readonly job: RecordedJob
  readonly jobKind: JobKind
  readonly sheet: RecordedSheet
  /** what the set came as, where it was converted; null = what it is */
  readonly foundSheet: RecordedSheet | null
  /** with every limit, so that a later correction of the set changes nothing that was signed */
  readonly ruleSet: FrozenRuleSet
  readonly comparison: readonly {
    readonly row: string
    readonly title: string
    readonly quantity: string
    readonly siUnit: string
    readonly before: RecordedValue | null
    readonly after: RecordedValue | null
    readonly comparable: boolean | null
    readonly differences: readonly string[]
  }[]
  readonly claims: readonly {
    readonly id: string
    readonly outcome: ClaimOutcome
    readonly measuredValue: number | null
    readonly meterFactor: number | null
  }[]
  readonly steps: readonly {
    readonly id: string
    readonly title: string
    readonly status: string
    readonly satisfied: boolean
    readonly outcome: string | null
    readonly reason: string | null
  }[]
  readonly openItems: readonly OpenItem[]
  /** seconds keyed, counted from measured RF; steps null = outside the alignment */
  readonly keyDown: {
    readonly totalS: number
    readonly bySteps: readonly { readonly stepId: string | null; readonly lengthS: number }[]
  }
  readonly events: readonly JobEvent[]
}

/** Everything that is known of a job, judged by the sheet and the rules given. Time is passed in. */
export function jobRecord(
  job: RecordedJob,
  { now: sheet, found }: JobSheets,
  rules: RuleSet,
  events: readonly JobEvent[],
  exportedAtMs: number,
): JobRecord {
  const { run, claimRows, compared, items, claimContext } = jobState(sheet, rules, events, found)
  const keyed = keyDownTotals(events)
  return {
    format: JOB_RECORD_FORMAT,
    version: JOB_RECORD_VERSION,
    exportedAtMs,
    job,
    jobKind: run.jobKind,
    sheet: recordedSheet(sheet),
    foundSheet: found.id === sheet.id ? null : recordedSheet(found),
    ruleSet: rules,
    comparison: compared.map(c => ({
      row: c.point.id,
      title: c.point.title,
      quantity: c.want.quantity,
      siUnit: quantityInfo(c.want.quantity).siUnit,
      before: recorded(c.before),
      after: recorded(c.after),
      comparable: c.differences === null ? null : c.differences.length === 0,
      differences: (c.differences ?? []).map(d => d.kind),
    })),
    claims: settledClaims(job, claimRows, claimContext),
    steps: run.steps.map(s => ({
      id: s.step.id,
      title: s.step.title,
      status: s.status,
      satisfied: s.satisfied,
      outcome: s.confirmed?.outcome ?? null,
      reason: s.confirmed?.reason || null,
    })),
    openItems: items,
    keyDown: {
      totalS: keyed.totalS,
      bySteps: [...keyed.byStep].map(([stepId, lengthS]) => ({ stepId, lengthS })),
    },
    events,
  }
}

function settledClaims(
  { claims }: RecordedJob,
  rows: JobState['claimRows'],
  context: JobState['claimContext'],
): JobRecord['claims'] {
  return claims
    .map(c => settleClaim(c, rows, context))
    .map(s => ({
      id: s.claim.id,
      outcome: s.outcome,
      measuredValue: s.measured?.value ?? null,
      meterFactor: s.meterFactor?.ratio ?? null,
    }))
}

function recorded(cell: CellState): RecordedValue | null {
  if (!cell.latest || !cell.judgement) return null
  const { value, standardUncertainty, instrument, source, bound = null } = cell.latest.reading
  return {
    value,
    bound,
    standardUncertainty,
    instrument,
    source,
    verdict: judgedVerdict(cell.judgement),
    atMs: cell.latest.row.atMs,
  }
}
