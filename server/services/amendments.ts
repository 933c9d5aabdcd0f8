import { t } from '#shared/i18n'
import { CoreError } from '#core/errors'
import type { JobEvent, SheetAmended } from '#core/run'
import { amended, fieldValue, type FieldChange } from '#core/sheet'
import type { Job } from '#shared/job'
import type { Db } from '../db/pool'
import { insertRevision, selectChangesOfEvent } from '../db/queries/sheet'
import { requireSheet } from './sheetBook'
import { localDay } from '#shared/words/dateWords'
import { lockSheet } from './sheets'

/** A correction made on a job becomes the next revision of the sheet, for every job that begins after it. */
export async function keepAmendment(db: Db, job: Job, event: SheetAmended): Promise<void> {
  await revise(db, job, event.changes, {
    who: event.who,
    reason: event.reason,
    eventId: event.id,
    atMs: event.atMs,
  })
}

/**
 * A correction that was struck out is taken back in the sheet too: each field that still says what it said
 * goes back.
 */
export async function takeBack(
  db: Db,
  job: Job,
  event: Extract<JobEvent, { kind: 'event-struck' }>,
): Promise<void> {
  const changes = await selectChangesOfEvent(db, event.eventId)
  if (!changes) return
  await lockSheet(db, job.sheetId)
  const newest = await requireSheet(db, job.sheetId)
  const back = changes
    .filter(c => fits(() => fieldValue(newest, c.line)) && same(fieldValue(newest, c.line), c.to))
    .map(c => ({ line: c.line, from: c.to, to: c.from }))
    .reverse()
  if (back.length > 0)
    await revise(db, job, back, {
      who: '',
      reason: t('server.amendmentWithdrawn', { reason: event.reason }),
      eventId: event.id,
      atMs: event.atMs,
    })
}

interface AmendmentMade {
  readonly who: string
  readonly reason: string
  readonly eventId: string
  readonly atMs: number
}

/**
 * The sheet may have moved on since the job began: the old value that is kept is the one that stood there.
 */
async function revise(
  db: Db,
  job: Job,
  changes: readonly FieldChange[],
  { who, reason, eventId, atMs }: AmendmentMade,
): Promise<void> {
  await lockSheet(db, job.sheetId)
  const newest = await requireSheet(db, job.sheetId)
  const kept = changes
    .filter(c => fits(() => fieldValue(newest, c.line)))
    .map(c => ({ ...c, from: fieldValue(newest, c.line) }))
    .filter(c => !same(c.from, c.to))
  if (kept.length === 0 || !fits(() => amended(newest, kept))) return
  const sheet = { ...amended(newest, kept), revision: newest.revision + 1, revisedOn: localDay(atMs) }
  await insertRevision(db, { sheet, who, reason, changes: kept, jobId: job.id, eventId, revisedAtMs: atMs })
}

/**
 * What a later revision no longer has, or can no longer bear, is not corrected there; on the job it is, and
 * nothing of it is refused.
 */
function fits(look: () => unknown): boolean {
  try {
    look()
    return true
  } catch (error) {
    if (!(error instanceof CoreError)) throw error
    return false
  }
}

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)
