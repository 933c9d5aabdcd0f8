import { t } from '#shared/i18n'
import { v5 as uuidOf } from 'uuid'
import { isDeepStrictEqual } from 'node:util'
import {
  asOfTrainee,
  cameAs,
  isOfASheet,
  mayTraineeEnter,
  USUAL_JOB_KIND,
  type JobEvent,
  type JobKind,
} from '#core/run'
import type { SignedIn } from '#shared/people'
import type { ModelSheet } from '#core/sheet'
import type { Intake, Job, JobPatch, NewModel } from '#shared/job'
import { inTransaction, pool } from '../db/pool'
import { insertJob, selectJob, updateJob, lockJob } from '../db/queries/job'
import { insertEvent, selectEvent, selectEvents } from '../db/queries/jobEvent'
import { ApiError } from '../utils/apiError'
import { checkOnJob } from './checkOnJob'
import { takeEffect } from './takeEffect'
import { indexLater } from './jobIndex'
import { tellEvent } from './jobLive'
import { requireRules } from './rules'
import { actingChoices } from './schools'
import { requireSheet } from './sheetBook'
import { familySheet } from './familySheet'

const unknownJob = (id: string) => new ApiError(404, 'unknown-job', t('server.jobNotFound', { id }))

/**
 * sheet = the revision that the job began with; its own corrections are in its events. found = of the model
 * that the set came as; null = it was not converted
 */
export interface JobWithEvents {
  readonly job: Job
  readonly events: JobEvent[]
  readonly sheet: ModelSheet
  readonly found: ModelSheet | null
}

/** What a job begins with beside its intake. */
interface Beginning {
  /** kept as its first entry; the usual kind needs none */
  readonly jobKind?: JobKind
  /** a model that has no sheet yet begins with that of its family */
  readonly newModel?: NewModel | null
  /** who books it in */
  readonly by?: SignedIn | null
}

/** Starts a job with the newest revision of its sheet. The same id again gives the same job. */
export async function startJob(
  id: string,
  intake: Intake,
  { jobKind = USUAL_JOB_KIND, newModel = null, by = null }: Beginning = {},
): Promise<Job> {
  await requireRules(pool, intake.ruleSetId)
  // Its answer was lost: whatever became of the sheet since, the job is there.
  const there = newModel && (await selectJob(pool, id))
  if (there) return there
  const stored = await inTransaction(async db => {
    const sheet = newModel
      ? await familySheet(db, intake.sheetId, newModel, by?.name ?? '')
      : await requireSheet(db, intake.sheetId)
    const job = await insertJob(db, {
      ...intake,
      id,
      sheetRevision: sheet.revision,
      schools: { ...(await actingChoices(db)), ...sheet.schools },
      promisedOn: intake.promisedOn || null,
    })
    if (job && jobKind !== USUAL_JOB_KIND) await insertEvent(db, id, firstKind(job, jobKind, by))
    if (job) await indexLater(db, id)
    return job
  })
  return stored ?? (await requireJob(id))
}

function firstKind({ id, createdAtMs }: Job, jobKind: JobKind, by: SignedIn | null): JobEvent {
  const event: JobEvent = {
    kind: 'job-kind-set',
    id: uuidOf('job-kind', id),
    atMs: Math.round(createdAtMs),
    jobKind,
    reason: '',
  }
  return by ? enteredBy(by, event) : event
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
  const came = cameAs(events.get(id)!)
  const found = came ? await requireSheet(pool, came.sheetId, came.sheetRevision) : null
  return { job, events: events.get(id)!, sheet, found }
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
 * @param madeBy sheet that the screen had it from; null = it was not said
 * @returns whether it is new
 */
export async function appendEvent(
  jobId: string,
  entered: JobEvent,
  by: SignedIn | null = null,
  madeBy: string | null = null,
): Promise<{ isNew: boolean }> {
  const named = by ? enteredBy(by, entered) : entered
  return inTransaction(async db => {
    // One after the other: what a handover freezes is everything that was entered before it.
    const job = await lockJob(db, jobId)
    if (!job) throw unknownJob(jobId)
    const event = by?.role === 'trainee' && !job.isPractice ? ofTrainee(named) : named
    const stored = await selectEvent(db, event.id)
    if (stored) return { isNew: !isSameAgain(stored, jobId, event) }
    if (madeBy !== null && madeBy !== job.sheetId && isOfASheet(event))
      throw new ApiError(409, 'changed-meanwhile', t('server.modelChangedSince'), 'kind')
    await checkOnJob(db, job, event)
    if (!(await insertEvent(db, jobId, event))) throw idReused()
    await tellEvent(db, jobId, event.id)
    await takeEffect(db, job, event)
    return { isNew: true }
  })
}

const idReused = () => new ApiError(409, 'id-reused', t('server.thisIdBelongsToAnotherEntry'), 'id')

/**
 * True: it was kept before, and whatever the job is by now, it need not be checked again.
 * @throws {ApiError} id-reused
 */
function isSameAgain(stored: { jobId: string; event: JobEvent }, jobId: string, event: JobEvent): true {
  // Two screens that saw the same key-down say so in the same words, but for what step was at hand.
  const isSameKeyed = stored.event.kind === 'keyed' && event.kind === 'keyed'
  if (stored.jobId !== jobId || (!isSameKeyed && !isDeepStrictEqual(plain(stored.event), plain(event))))
    throw idReused()
  return true
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

/** Key order, undefined fields and who sends it again do not make two events different. */
function plain({ author, unreleased: _waits, ...entered }: JobEvent): unknown {
  // A name that the server put there may be another by now: somebody was renamed since.
  return JSON.parse(JSON.stringify(author && 'who' in entered ? { ...entered, who: '' } : entered))
}
