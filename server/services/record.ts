import Papa from 'papaparse'
import { readingLines, type JobRecord } from '../../core/formats'
import { runState } from '../../core/run'
import { sheetOf } from '../../core/sheet'
import { jobTag } from '../../shared/job'
import { jobWithEvents } from './jobs'
import { pool } from '../db/pool'
import { recordFor } from './recordFor'
import { requireRules } from './rules'

/** A cell that begins like a formula would be run by a spreadsheet; papaparse puts an apostrophe before it. */
const FORMULA = /^[=+\-@\t\r](?![\d.]+(e[+-]?\d+)?$)/i

export async function recordOf(jobId: string): Promise<{ tag: string, record: JobRecord }> {
  const { job, events } = await jobWithEvents(jobId)
  return { tag: jobTag(job.number), record: recordFor(job, await requireRules(pool, job.ruleSetId), events, Date.now()) }
}

export async function csvOf(jobId: string): Promise<{ tag: string, csv: string }> {
  const { job, events } = await jobWithEvents(jobId)
  const sheet = sheetOf(job)
  const rules = await requireRules(pool, job.ruleSetId)
  const csv = Papa.unparse(readingLines(sheet, rules, runState(sheet, rules, events)), { escapeFormulae: FORMULA, newline: '\r\n' })
  return { tag: jobTag(job.number), csv }
}
