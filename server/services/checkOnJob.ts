import { t } from '#shared/i18n'
import { canBeStruck, sheetsUsed, withdrawal, type JobEvent, type ModelChanged } from '#core/run'
import type { Job } from '#shared/job'
import type { Db } from '../db/pool'
import {
  readingBelongsTo,
  selectEvent,
  selectEventsOfKinds,
  selectUnreleasedIds,
} from '../db/queries/jobEvent'
import { ApiError } from '../utils/apiError'
import { checkEvent } from './checkEvent'
import { requireSheet, sheetOfJob } from './sheetBook'

/**
 * Refuses what the job's sheet, as it stands corrected, does not have, and what does not fit what was entered
 * before.
 * @throws {CoreError} unknown-...
 * @throws {ApiError}
 */
export async function checkOnJob(db: Db, job: Job, event: JobEvent): Promise<void> {
  const kinds = ['sheet-amended', 'event-struck', 'model-changed'] as const
  checkEvent(await sheetOfJob(db, job, await selectEventsOfKinds(db, job.id, kinds)), event)
  switch (event.kind) {
    case 'reading-struck':
    case 'challenge-kept':
      return checkReading(db, job, event.readingId)
    case 'event-struck':
      return checkStrike(db, job, event.eventId)
    case 'entries-reviewed':
      return checkReview(db, job, event.eventIds)
    case 'model-changed':
      return checkModelChange(db, job, event)
    case 'job-withdrawn':
    case 'handed-over':
      return checkEnd(db, job, event.kind)
  }
}

async function checkReading(db: Db, job: Job, readingId: string): Promise<void> {
  if (!(await readingBelongsTo(db, readingId, job.id)))
    throw new ApiError(404, 'unknown-reading', t('server.thisReadingIsNotInThis'), 'readingId')
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

/** What was handed over counts, and what was withdrawn is not handed over. */
async function checkEnd(db: Db, job: Job, kind: 'job-withdrawn' | 'handed-over'): Promise<void> {
  const ends = await selectEventsOfKinds(db, job.id, ['job-withdrawn', 'handed-over', 'event-struck'])
  if (kind === 'job-withdrawn' && ends.some(e => e.kind === 'handed-over'))
    throw new ApiError(409, 'handed-over', t('server.handedOverNotWithdrawn'), 'kind')
  if (kind === 'handed-over' && withdrawal(ends))
    throw new ApiError(409, 'withdrawn', t('server.withdrawnNotHandedOver'), 'kind')
}

/** From what the job is measured by now to another sheet that is here; what was signed keeps its model. */
async function checkModelChange(db: Db, job: Job, { because, from, to }: ModelChanged): Promise<void> {
  if (from.sheetId !== job.sheetId || from.sheetRevision !== job.sheetRevision)
    throw new ApiError(409, 'changed-meanwhile', t('server.someoneElseHasChangedThisJob'), 'from')
  const isNewer = to.sheetId === from.sheetId && to.sheetRevision > from.sheetRevision
  if (to.sheetId === from.sheetId && !(isNewer && because === 'own-sheet'))
    throw new ApiError(400, 'invalid-field', t('server.chooseAnotherModel'), 'to.sheetId')
  const before = await selectEventsOfKinds(db, job.id, ['handed-over', 'model-changed'])
  if (before.some(e => e.kind === 'handed-over'))
    throw new ApiError(409, 'handed-over', t('server.handedOverModelStays'), 'kind')
  const used = sheetsUsed(before).find(s => s.sheetId === to.sheetId)
  if (used && used.sheetRevision !== to.sheetRevision && !isNewer)
    throw new ApiError(409, 'changed-meanwhile', t('server.someoneElseHasChangedThisJob'), 'to.sheetRevision')
  await requireSheet(db, to.sheetId, to.sheetRevision)
}
