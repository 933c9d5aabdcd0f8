import { createHash } from 'node:crypto'
import type { JobEvent } from '#core/run'
import type { Job } from '#shared/job'
import type { Db } from '../db/pool'
import { insertIssue } from '../db/queries/handoverIssue'
import { recordFor } from './recordFor'
import { requireRules } from './rules'
import { requireSheet } from './sheetBook'

/** Freezes the record as it stands with this event: the text whose SHA-256 is the signature. */
export async function freezeHandover(
  db: Db,
  job: Job,
  events: readonly JobEvent[],
  event: JobEvent,
): Promise<void> {
  const record = JSON.stringify(
    recordFor(
      job,
      await requireSheet(db, job.sheetId, job.sheetRevision),
      await requireRules(db, job.ruleSetId),
      events,
      event.atMs,
    ),
  )
  await insertIssue(db, job.id, event, createHash('sha256').update(record).digest('hex'), record)
}
