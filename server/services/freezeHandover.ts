import { createHash } from 'node:crypto'
import type { JobEvent } from '#core/run'
import type { Job } from '#shared/job'
import type { Db } from '../db/pool'
import { insertIssue } from '../db/queries/handoverIssue'
import { insertPaper } from '../db/queries/handoverPaper'
import type { Handover } from '../pdf/handoverDocument'
import { log } from '../utils/log'
import { handoverPaper, languageOfCopy } from './handoverPaper'
import { recordFor } from './recordFor'
import { rulesOfJob } from './rules'
import { sheetsOfJob } from './sheetBook'

/**
 * Freezes the record as it stands with this event, the text whose SHA-256 is the signature, and the owner's
 * copy as it is handed over.
 */
export async function freezeHandover(
  db: Db,
  job: Job,
  events: readonly JobEvent[],
  event: JobEvent,
): Promise<void> {
  const sheets = await sheetsOfJob(db, job, events)
  const rules = await rulesOfJob(db, job, sheets)
  const record = JSON.stringify(recordFor(job, sheets, rules, events, event.atMs))
  const checksum = createHash('sha256').update(record).digest('hex')
  const number = await insertIssue(db, job.id, event, checksum, record)
  const issue = { number, checksum, atMs: event.atMs }
  const { now: sheet, found } = sheets
  const paper = await paperOrNone({ job, sheet, found, rules, events, issue, photos: [] })
  if (paper) await insertPaper(db, job.id, number, languageOfCopy('owner', job), paper)
}

/** A paper that cannot be written does not undo a handover: it is written anew when it is asked for. */
async function paperOrNone(handover: Handover): Promise<Buffer | null> {
  try {
    return await handoverPaper(handover, 'owner')
  } catch (error) {
    log.error({ jobId: handover.job.id, error: String(error) }, 'owner copy not kept')
    return null
  }
}
