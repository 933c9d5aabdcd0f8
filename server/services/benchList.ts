import { validEvents, type JobEvent, type JobSheets } from '#core/run'
import { withBandRules, type RuleSet } from '#core/rules'
import type { ModelSheet } from '#core/sheet'
import { STAGES, jobState, runningSoak, waitsFor, warmUp, warnings, type Stage } from '#core/work'
import type { JobSummary } from '#shared/bench'
import type { Job } from '#shared/job'
import { pool } from '../db/pool'
import { selectJobsAway, selectJobsHere } from '../db/queries/job'
import { selectEvents, selectLastSeqs } from '../db/queries/jobEvent'
import { everyRuleSet } from './rules'
import { baseSheets, sheetsOfJob } from './sheetBook'

/** Jobs handed over that the bench page still lists; the others are found by search. */
const LISTED_AWAY = 6
const ALL_DONE = Object.fromEntries(STAGES.map(s => [s, true])) as Record<Stage, boolean>
const MAX_KEPT = 1000

/** What follows from the events of a job, without the job itself. */
type Standing = Omit<JobSummary, 'job' | 'model' | 'kind' | 'warmUp'> & {
  readonly events: readonly JobEvent[]
}

/**
 * Computed once per last event and rule set: the list is asked for far more often than anything happens. Any
 * process can make it anew.
 */
const kept = new Map<string, { readonly until: string; readonly standing: Standing }>()

/** Everything that is here with where it stands, and what was handed over last. */
export async function benchList(): Promise<JobSummary[]> {
  const [here, away] = await Promise.all([selectJobsHere(pool), selectJobsAway(pool, LISTED_AWAY)])
  const [seqs, rules, sheetOf] = await Promise.all([
    selectLastSeqs(
      pool,
      here.map(j => j.id),
    ),
    everyRuleSet(pool),
    baseSheets(pool, [...here, ...away]),
  ])
  const rulesOf = (job: Job) => withBandRules(rules.get(job.ruleSetId)!, [sheetOf(job)], id => rules.get(id))
  const untilOf = (job: Job) => `${seqs.get(job.id) ?? 0} ${JSON.stringify(rulesOf(job))}`
  const changed = here.filter(j => kept.get(j.id)?.until !== untilOf(j))
  const events = await selectEvents(
    pool,
    changed.map(j => j.id),
  )
  const sheets = new Map<string, JobSheets>()
  for (const job of changed) sheets.set(job.id, await sheetsOfJob(pool, job, events.get(job.id)!))
  if (kept.size > MAX_KEPT) kept.clear()
  const nowMs = Date.now()
  const summaries = here.map(job => {
    const standing = changed.includes(job)
      ? standingOf(sheets.get(job.id)!, validEvents(events.get(job.id)!), rulesOf(job))
      : kept.get(job.id)!.standing
    kept.set(job.id, { until: untilOf(job), standing })
    const { events: ofJob, ...rest } = standing
    return {
      ...rest,
      job,
      model: sheetOf(job).model,
      kind: sheetOf(job).kind,
      warmUp: warmUp(sheetOf(job), ofJob, nowMs),
    }
  })
  return [...summaries, ...away.map(job => handedOver(job, sheetOf(job)))]
}

function standingOf({ now: sheet, found }: JobSheets, events: readonly JobEvent[], rules: RuleSet): Standing {
  const { run, done, stages } = jobState(sheet, rules, events, found)
  return {
    done,
    stages,
    jobKind: run.jobKind,
    waitsFor: waitsFor(events),
    stopped: warnings(sheet, events).includes('stays-off'),
    soakEndsAtMs: runningSoak(events)?.endsAtMs ?? null,
    nextStepTitle: run.next ? sheet.procedure.find(s => s.id === run.next!.stepId)!.title : null,
    lastEventAtMs: events.at(-1)?.atMs ?? null,
    events: events.filter(e => e.kind === 'warm-up-begun'),
  }
}

function handedOver(job: Job, { model, kind }: ModelSheet): JobSummary {
  return {
    job,
    model,
    kind,
    done: ALL_DONE,
    stages: STAGES,
    jobKind: null,
    nextStepTitle: null,
    waitsFor: null,
    stopped: false,
    warmUp: null,
    soakEndsAtMs: null,
    lastEventAtMs: null,
  }
}
