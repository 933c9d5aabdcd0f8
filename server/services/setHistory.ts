import { jobSheet, matrixState, runState, type JobEvent } from '#core/run'
import { withBandRules, type RuleSet } from '#core/rules'
import type { ModelSheet } from '#core/sheet'
import { plannedWork } from '#core/work'
import type { EarlierJob, LeftAs } from '#shared/earlierJob'
import type { Job } from '#shared/job'
import { pool } from '../db/pool'
import { selectJobsOfSet } from '../db/queries/job'
import { selectEvents } from '../db/queries/jobEvent'
import { everyRuleSet } from './rules'
import { baseSheets } from './sheetBook'

/** A set that came more often than this is shown by its last visits. */
const MAX_SHOWN = 10

/**
 * What a set was here for before, each time with how it was left.
 * @param sheetId '' = sets of every model with this serial number
 */
export async function earlierJobs(sheetId: string, serial: string): Promise<EarlierJob[]> {
  const jobs = await selectJobsOfSet(pool, sheetId, serial, MAX_SHOWN)
  const [events, rules, baseOf] = await Promise.all([
    selectEvents(
      pool,
      jobs.map(j => j.id),
    ),
    everyRuleSet(pool),
    baseSheets(pool, jobs),
  ])
  return jobs.map(job => {
    const sheet = jobSheet(baseOf(job), job.schools, events.get(job.id)!)
    const judgedBy = withBandRules(rules.get(job.ruleSetId)!, [sheet], id => rules.get(id))
    return earlierJob(job, sheet, events.get(job.id)!, judgedBy)
  })
}

function earlierJob(job: Job, sheet: ModelSheet, events: readonly JobEvent[], rules: RuleSet): EarlierJob {
  return {
    job,
    handedOverAtMs: events.findLast(e => e.kind === 'handed-over')?.atMs ?? null,
    asLeft: leftAs(sheet, events, rules),
    planned: plannedWork(events),
  }
}

function leftAs(sheet: ModelSheet, events: readonly JobEvent[], rules: RuleSet): LeftAs[] {
  return matrixState(sheet, rules, runState(sheet, rules, events).history, 'as-left').flatMap(row =>
    row.cells.flatMap(cell => {
      if (!cell.latest || (!cell.requirement.window && !cell.requirement.limit)) return []
      const { quantity, value, standardUncertainty } = cell.latest.reading
      return [
        {
          rowTitle: row.point.title,
          quantity,
          value,
          standardUncertainty,
          nominalHz: cell.requirement.nominalHz,
          verdict: cell.judgement!.verdict,
        },
      ]
    }),
  )
}
