import { t } from '#shared/i18n'
import { isDeepStrictEqual } from 'node:util'
import { asOfTrainee, canBeStruck, mayTraineeEnter, type JobEvent } from '#core/run'
import type { SignedIn } from '#shared/people'
import type { ModelSheet } from '#core/sheet'
import type { Intake, Job, JobPatch } from '#shared/job'
import { inTransaction, pool, type Db } from '../db/pool'
import { insertJob, selectJob, updateJob, lockJob } from '../db/queries/job'
import {
  insertEvent,
  readingBelongsTo,
  selectEvent,
  selectEvents,
  selectEventsOfKinds,
  selectUnreleasedIds,
} from '../db/queries/jobEvent'
import { ApiError } from '../utils/apiError'
import { keepAmendment, takeBack } from './amendments'
import { checkEvent } from './checkEvent'
import { freezeHandover } from './freezeHandover'
import { indexLater } from './jobIndex'
import { tellEvent } from './jobLive'
import { requireRules } from './rules'
import { actingChoices } from './schools'
import { requireSheet, sheetOfJob } from './sheetBook'

const unknownJob = (id: string) => new ApiError(404, 'unknown-job', t('server.jobNotFound', { id }))

/** sheet = the revision that the job began with; its own corrections are in its events. */
export interface JobWithEvents {
  readonly job: Job
  readonly events: JobEvent[]
  readonly sheet: ModelSheet
}

/** Starts a job with the newest revision of its sheet. The same id again gives the same job. */
export async function startJob(id: string, intake: Intake): Promise<Job> {
  const sheet = await requireSheet(pool, intake.sheetId)
  await requireRules(pool, intake.ruleSetId)
  const stored = await inTransaction(async db => {
    const job = await insertJob(db, {
      ...intake,
      id,
      sheetRevision: sheet.revision,
      schools: { ...(await actingChoices(db)), ...sheet.schools },
      promisedOn: intake.promisedOn || null,
    })
    if (job) await indexLater(db, id)
    return job
  })
  return stored ?? (await requireJob(id))
}

export async function requireJob(id: string): Promise<Job> {
  const job = await selectJob(pool, id)
  if (!job) throw unknownJob(id)
  return job
}

export async function jobWithEvents(id: string): Promise<JobWithEvents> {
  const job = await requireJob(id)
  const [events, sheet] = await Promise.all([
    selectEvents(pool, [id]),
    requireSheet(pool, job.sheetId, job.sheetRevision),
  ])
  return { job, events: events.get(id)!, sheet }
}

/**
 * Changes an intake; a change made from an older version is refused, so that nobody overwrites anybody
 * silently.
 */
export async function changeJob(id: string, { version, ...change }: JobPatch): Promise<Job> {
  if (change.ruleSetId !== undefined) await requireRules(pool, change.ruleSetId)
  const job = await inTransaction(async db => {
    const changed = await updateJob(db, id, change, version)
    if (changed) await indexLater(db, id)
    return changed
  })
  if (job) return job
  await requireJob(id)
  throw new ApiError(409, 'changed-meanwhile', t('server.someoneElseHasChangedThisJob'), 'version')
}

/**
 * Appends an event. Sent twice it is stored once; the same id with other content is refused.
 * @param by who is signed in and entered it; null = a bench without sign-in, or nobody knows any more
 * @returns whether it is new
 */
export async function appendEvent(
  jobId: string,
  entered: JobEvent,
  by: SignedIn | null = null,
): Promise<{ isNew: boolean }> {
  const named = by ? enteredBy(by, entered) : entered
  return inTransaction(async db => {
    // One after the other: what a handover freezes is everything that was entered before it.
    const job = await lockJob(db, jobId)
    if (!job) throw unknownJob(jobId)
    const event = by?.role === 'trainee' && !job.isPractice ? ofTrainee(named) : named
    await checkOnJob(db, job, event)
    if (
      (event.kind === 'reading-struck' || event.kind === 'challenge-kept') &&
      !(await readingBelongsTo(db, event.readingId, jobId))
    ) {
      throw new ApiError(404, 'unknown-reading', t('server.thisReadingIsNotInThis'), 'readingId')
    }
    if (await insertEvent(db, jobId, event)) {
      await tellEvent(db, jobId, event.id)
      if (event.kind === 'sheet-amended') await keepAmendment(db, job, event)
      if (event.kind === 'event-struck') await takeBack(db, job, event)
      if (isFound(event)) await indexLater(db, jobId)
      if (event.kind === 'handed-over') {
        await updateJob(db, jobId, { onBench: false }, null)
        await freezeHandover(db, job, (await selectEvents(db, [jobId])).get(jobId)!, event)
      }
      return { isNew: true }
    }
    const stored = await selectEvent(db, event.id)
    // Two screens that saw the same key-down say so in the same words, but for what step was at hand.
    if (stored?.jobId === jobId && stored.event.kind === 'keyed' && event.kind === 'keyed')
      return { isNew: false }
    if (stored?.jobId !== jobId || !isDeepStrictEqual(plain(stored.event), plain(event)))
      throw new ApiError(409, 'id-reused', t('server.thisIdBelongsToAnotherEntry'), 'id')
    return { isNew: false }
  })
}

/** @throws {ApiError} not-allowed: somebody else has to enter that */
function ofTrainee(event: JobEvent): JobEvent {
  if (!mayTraineeEnter(event.kind)) throw new ApiError(403, 'not-allowed', t('server.technicianEntersThat'))
  return asOfTrainee(event)
}

/** Where a name is part of an entry, it is that of whoever is signed in, not what was typed once. */
function enteredBy({ personId, name }: SignedIn, event: JobEvent): JobEvent {
  return { ...event, ...('who' in event ? { who: name } : {}), author: { personId, name } }
}

/** Refuses what the job's sheet, as it stands corrected, does not have; a correction has to fit it. */
async function checkOnJob(db: Db, job: Job, event: JobEvent): Promise<void> {
  const sheet = await sheetOfJob(
    db,
    job,
    await selectEventsOfKinds(db, job.id, ['sheet-amended', 'event-struck']),
  )
  checkEvent(sheet, event)
  if (event.kind === 'event-struck') await checkStrike(db, job, event.eventId)
  if (event.kind === 'entries-reviewed') await checkReview(db, job, event.eventIds)
}

async function checkStrike(db: Db, job: Job, eventId: string): Promise<void> {
  const stored = await selectEvent(db, eventId)
  if (stored?.jobId !== job.id)
    throw new ApiError(404, 'unknown-event', t('server.thisEntryIsNotInThis'), 'eventId')
  if (!canBeStruck(stored.event))
    throw new ApiError(409, 'cannot-be-struck', t('server.thisEntryCannotBeStruckOut'), 'eventId')
}

/** Only what waits on this job is released or turned down. */
async function checkReview(db: Db, job: Job, eventIds: readonly string[]): Promise<void> {
  const waiting = new Set(await selectUnreleasedIds(db, job.id))
  if (!eventIds.every(id => waiting.has(id)))
    throw new ApiError(409, 'unknown-event', t('server.doesNotWaitForRelease'), 'eventIds')
}

/** Readings on the way are nothing that anybody looks for. */
function isFound(event: JobEvent): boolean {
  return event.kind !== 'row-taken' || (event.phase === 'as-found' && event.stepId === null)
}

/** Key order, undefined fields and who sends it again do not make two events different. */
function plain({ author, unreleased: _waits, ...entered }: JobEvent): unknown {
  // A name that the server put there may be another by now: somebody was renamed since.
  return JSON.parse(JSON.stringify(author && 'who' in entered ? { ...entered, who: '' } : entered))
}
