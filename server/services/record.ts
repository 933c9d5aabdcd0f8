import { withTextsTranslated } from '#shared/i18n'
import Papa from 'papaparse'
import { readingLines, type JobRecord } from '#core/record'
import { jobSheet, runState } from '#core/run'
import { jobTag } from '#shared/jobTag'
import { jobWithEvents } from './jobs'
import { pool } from '../db/pool'
import { recordFor } from './recordFor'
import { requireRules } from './rules'

/**
 * A cell that begins like a formula would be run by a spreadsheet; papaparse puts an apostrophe before it.
 */
const FORMULA = /^[=+\-@\t\r](?![\d.]+(e[+-]?\d+)?$)/i

export async function recordOf(jobId: string): Promise<{ tag: string; record: JobRecord }> {
  const { job, events, sheet } = await jobWithEvents(jobId)
  return {
    tag: jobTag(job.number),
    record: recordFor(job, sheet, await requireRules(pool, job.ruleSetId), events, Date.now()),
  }
}

export async function csvOf(jobId: string): Promise<{ tag: string; csv: string }> {
  const { job, events, sheet: base } = await jobWithEvents(jobId)
  const sheet = jobSheet(base, job.schools, events)
  const rules = await requireRules(pool, job.ruleSetId)
  const csv = Papa.unparse(readingLines(withTextsTranslated(sheet), rules, runState(sheet, rules, events)), {
    escapeFormulae: FORMULA,
    newline: '\r\n',
  })
  return { tag: jobTag(job.number), csv }
}
