import { withdrawal, type JobEvent } from '#core/run'
import type { Job } from '#shared/job'
import type { Db } from '../db/pool'
import { moveJob, updateJob, withdrawJob } from '../db/queries/job'
import { selectEvent, selectEvents, selectEventsOfKinds } from '../db/queries/jobEvent'
import { keepAmendment, takeBack } from './amendments'
import { freezeHandover } from './freezeHandover'
import { indexLater } from './jobIndex'

/** What an entry changes beside the record of its job, in the transaction that keeps it. */
export async function takeEffect(db: Db, job: Job, event: JobEvent): Promise<void> {
  if (event.kind === 'sheet-amended') await keepAmendment(db, job, event)
  if (event.kind === 'event-struck') await takeBack(db, job, event)
  if (await isAboutWithdrawal(db, event)) await followWithdrawal(db, job.id)
  if (event.kind === 'model-changed') await moveJob(db, job.id, event.to)
  if (isFound(event)) await indexLater(db, job.id)
  if (event.kind === 'handed-over') {
    await updateJob(db, job.id, { onBench: false }, null)
    await freezeHandover(db, job, (await selectEvents(db, [job.id])).get(job.id)!, event)
  }
}

async function isAboutWithdrawal(db: Db, event: JobEvent): Promise<boolean> {
  if (event.kind === 'job-withdrawn') return true
  if (event.kind !== 'event-struck') return false
  return (await selectEvent(db, event.eventId))?.event.kind === 'job-withdrawn'
}

/** Where a job stands in the lists follows its entries. */
export async function followWithdrawal(db: Db, jobId: string): Promise<void> {
  const entries = await selectEventsOfKinds(db, jobId, ['job-withdrawn', 'event-struck'])
  await withdrawJob(db, jobId, withdrawal(entries)?.atMs ?? null)
}

/** Readings on the way are nothing that anybody looks for. */
function isFound(event: JobEvent): boolean {
  return event.kind !== 'row-taken' || (event.phase === 'as-found' && event.stepId === null)
}
