import { withTextsTranslated } from '#shared/i18n'
import Papa from 'papaparse'
import { setImmediate as nextTurn } from 'node:timers/promises'
import { readingLines, unjudgedLines, type JobRecord, type ReadingLine } from '#core/record'
import { runState, type JobEvent, type JobSheets } from '#core/run'
import type { Job } from '#shared/job'
import { jobTag } from '#shared/jobTag'
import { jobWithEvents } from './jobs'
import { pool } from '../db/pool'
import { selectRealJobsAfter } from '../db/queries/job'
import { selectEvents } from '../db/queries/jobEvent'
import { recordFor } from './recordFor'
import { rulesOfJob } from './rules'
import { sheetsOfJob } from './sheetBook'
import { isDatabaseAway } from '../db/errors'
import { log } from '../utils/log'

const JOBS_AT_ONCE = 50

/**
 * A cell that begins like a formula would be run by a spreadsheet; papaparse puts an apostrophe before it.
 */
const FORMULA = /^[=+\-@\t\r](?![\d.]+(e[+-]?\d+)?$)/i

export async function recordOf(jobId: string): Promise<{ tag: string; record: JobRecord }> {
  const { job, events } = await jobWithEvents(jobId)
  const sheets = await sheetsOfJob(pool, job, events)
  const rules = await rulesOfJob(pool, job, sheets)
  return { tag: jobTag(job.number), record: recordFor(job, sheets, rules, events, Date.now()) }
}

export async function csvOf(jobId: string): Promise<{ tag: string; csv: string }> {
  const { job, events } = await jobWithEvents(jobId)
  const sheets = await sheetsOfJob(pool, job, events)
  return { tag: jobTag(job.number), csv: csvText(await linesOf(job, sheets, events)) }
}

/**
 * Every reading of every real set, job by job as one CSV; simulated sets are left out. A piece at a time, so
 * that a workshop of many years neither fills the memory nor holds up who works. A job that cannot be judged
 * takes nothing away from the others: its readings are there as they were entered.
 */
export async function* everyReadingCsv(): AsyncGenerator<string> {
  let header = true
  for (let last = 0; ;) {
    const jobs = await selectRealJobsAfter(pool, last, JOBS_AT_ONCE)
    if (jobs.length === 0) return
    const ids = jobs.map(j => j.id)
    const events = await selectEvents(pool, ids)
    for (const job of jobs) {
      const { model, lines: own } = await linesOfAny(job, events.get(job.id)!)
      const lines = own.map(line => ({ job: jobTag(job.number), model, serial: job.serial, ...line }))
      if (lines.length > 0) yield `${csvText(lines, header)}\r\n`
      header &&= lines.length === 0
      await nextTurn()
    }
    last = jobs.at(-1)!.number
  }
}

async function linesOfAny(job: Job, events: readonly JobEvent[]) {
  try {
    const sheets = await sheetsOfJob(pool, job, events)
    return { model: sheets.now.model, lines: await linesOf(job, sheets, events) }
  } catch (error) {
    if (isDatabaseAway(error)) throw error
    log.error({ job: job.number, error: String(error) }, 'job not readable, its readings given unjudged')
    return { model: job.sheetId, lines: unjudgedLines(events) }
  }
}

/** What was read on the model that it came as stands before what was read on the one that it is. */
async function linesOf(job: Job, jobSheets: JobSheets, events: readonly JobEvent[]): Promise<ReadingLine[]> {
  const rules = await rulesOfJob(pool, job, jobSheets)
  const { now, found } = jobSheets
  const sheets = found.id === now.id ? [now] : [found, now]
  return sheets.flatMap(sheet =>
    readingLines(withTextsTranslated(sheet), rules, runState(sheet, rules, events)),
  )
}

const csvText = (lines: readonly object[], header = true) =>
  Papa.unparse([...lines], { escapeFormulae: FORMULA, newline: '\r\n', header })
