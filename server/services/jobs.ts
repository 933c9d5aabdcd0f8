import { isDeepStrictEqual } from 'node:util'
import type { JobEvent } from '../../core/run'
import { modelSheet, sheetOf } from '../../core/sheet'
import type { BenchOrder } from '../../shared/bench'
import type { Intake, Job, JobPatch } from '../../shared/job'
import { inTransaction, pool } from '../db/pool'
import { insertJob, placeJobs, selectJob, updateJob } from '../db/queries/job'
import { insertEvent, readingBelongsTo, selectEvent, selectEvents } from '../db/queries/jobEvent'
import { ApiError } from '../utils/apiError'
import { checkEvent } from './checkEvent'
import { freezeHandover } from './freezeHandover'
import { indexLater } from './jobIndex'
import { requireRules } from './rules'
import { actingChoices } from './schools'

const unknownJob = (id: string) => new ApiError(404, 'unknown-job', `There is no job "${id}".`)

export interface JobWithEvents { readonly job: Job, readonly events: JobEvent[] }

/** Starts a job with the newest revision of its sheet. The same id again gives the same job. */
export async function startJob(id: string, intake: Intake): Promise<Job> {
  const sheet = modelSheet(intake.sheetId)
  await requireRules(pool, intake.ruleSetId)
  const stored = await inTransaction(async (db) => {
    const job = await insertJob(db, { ...intake, id, sheetRevision: sheet.revision, schools: await actingChoices(db), promisedOn: intake.promisedOn || null })
    if (job) await indexLater(db, id)
    return job
  })
  return stored ?? await requireJob(id)
}

export async function requireJob(id: string): Promise<Job> {
  const job = await selectJob(pool, id)
  if (!job) throw unknownJob(id)
  return job
}

export async function jobWithEvents(id: string): Promise<JobWithEvents> {
  const job = await requireJob(id)
  const events = await selectEvents(pool, [id])
  return { job, events: events.get(id)! }
}

/** Changes an intake; a change made from an older version is refused, so that nobody overwrites anybody silently. */
export async function changeJob(id: string, { version, ...change }: JobPatch): Promise<Job> {
  if (change.ruleSetId !== undefined) await requireRules(pool, change.ruleSetId)
  const job = await inTransaction(async (db) => {
    const changed = await updateJob(db, id, change, version)
    if (changed) await indexLater(db, id)
    return changed
  })
  if (job) return job
  await requireJob(id)
  throw new ApiError(409, 'changed-meanwhile', 'Somebody else changed this job meanwhile. Nothing of yours is lost: compare, then save again.', 'version')
}

/**
 * Appends an event. Sent twice it is stored once; the same id with other content is refused.
 * @returns whether it is new
 */
export async function appendEvent(jobId: string, event: JobEvent): Promise<{ isNew: boolean }> {
  return inTransaction(async (db) => {
    const job = await selectJob(db, jobId)
    if (!job) throw unknownJob(jobId)
    checkEvent(sheetOf(job), event)
    if ((event.kind === 'reading-struck' || event.kind === 'challenge-kept') && !(await readingBelongsTo(db, event.readingId, jobId))) {
      throw new ApiError(404, 'unknown-reading', 'This reading is not on this job.', 'readingId')
    }
    if (await insertEvent(db, jobId, event)) {
      if (isFound(event)) await indexLater(db, jobId)
      if (event.kind === 'handed-over') {
        await updateJob(db, jobId, { onBench: false }, null)
        await freezeHandover(db, job, (await selectEvents(db, [jobId])).get(jobId)!, event)
      }
      return { isNew: true }
    }
    const stored = await selectEvent(db, event.id)
    if (stored?.jobId !== jobId || !isDeepStrictEqual(plain(stored.event), plain(event))) throw new ApiError(409, 'id-reused', 'This id belongs to another event.', 'id')
    return { isNew: false }
  })
}

/** Readings on the way are nothing that anybody looks for. */
function isFound(event: JobEvent): boolean {
  return event.kind !== 'row-taken' || (event.phase === 'as-found' && event.stepId === null)
}

/** Key order and undefined fields do not make two events different. */
function plain(event: JobEvent): unknown {
  return JSON.parse(JSON.stringify(event))
}

export const orderBench = (order: BenchOrder) => placeJobs(pool, order)
