import { createHash, randomUUID } from 'node:crypto'
import type { JobRecord } from '#core/record'
import { jobTag } from '#shared/jobTag'
import { inTransaction, pool, type Db } from '../db/pool'
import { selectFrozen } from '../db/queries/check'
import {
  eraseOwnerOf,
  openFrozen,
  replaceFrozen,
  selectJobsOfOwner,
  selectMentions,
} from '../db/queries/erase'
import { deleteLinksOf } from '../db/queries/handoverLink'
import { lockJob } from '../db/queries/job'
import { insertEvent } from '../db/queries/jobEvent'
import { indexJobs } from '../db/queries/jobIndex'

/** Stands where the name stood. */
const NOBODY = '\u2013'
/** Shorter words of a name (a title, an initial) occur everywhere. */
const MIN_LETTERS = 4

/** A job whose owner was, or would be, erased. */
export interface ErasedJob {
  readonly tag: string
  readonly what: string
  /** texts that still hold a word of the name: what was entered is never changed */
  readonly mentions: readonly string[]
}

/**
 * Erases who an owner is from all of his jobs: intake, frozen records and the copies that were printed for
 * him. Readings, work and verdicts stay, and an entry says what was done and when.
 * @param really false: only tells what it would do
 */
export async function eraseOwner(owner: string, reason: string, really: boolean): Promise<ErasedJob[]> {
  const jobs = await selectJobsOfOwner(pool, owner)
  if (really)
    await inTransaction(db =>
      openFrozen(db, async () => {
        for (const { id } of jobs) await eraseFrom(db, id, reason)
        await indexJobs(
          db,
          jobs.map(j => j.id),
        )
      }),
    )
  const words = owner.split(/[^\p{L}\p{N}]+/u).filter(w => [...w].length >= MIN_LETTERS)
  return Promise.all(
    jobs.map(async ({ id, number, model, serial }) => ({
      tag: jobTag(number),
      what: `${model} ${serial}`,
      mentions: (await selectMentions(pool, id, words)).map(({ what, text }) => `${what}: ${text}`),
    })),
  )
}

async function eraseFrom(db: Db, jobId: string, reason: string): Promise<void> {
  await lockJob(db, jobId)
  await eraseOwnerOf(db, jobId, NOBODY)
  await deleteLinksOf(db, jobId)
  for (const { number, record } of await selectFrozen(db, jobId)) {
    const frozen = JSON.parse(record) as JobRecord
    const without = JSON.stringify({ ...frozen, job: { ...frozen.job, owner: NOBODY } })
    const checksum = createHash('sha256').update(without).digest('hex')
    await replaceFrozen(db, jobId, number, { record: without, checksum })
  }
  await insertEvent(db, jobId, {
    kind: 'note',
    id: randomUUID(),
    atMs: Date.now(),
    stepId: null,
    text: `The owner's data were erased on request: ${reason}`,
  })
}
