import { readFileSync, createReadStream } from 'node:fs'
import { withdrawal, type JobEvent } from '#core/run'
import { jobTag } from '#shared/jobTag'
import type { Db } from '../db/pool'
import { lockJob, moveJob, selectJob, updateJob } from '../db/queries/job'
import { isOwnerErased } from '../db/queries/erase'
import { insertEvent, selectEvents } from '../db/queries/jobEvent'
import { markForIndex } from '../db/queries/jobIndex'
import { followWithdrawal } from '../services/takeEffect'
import {
  freeNumber,
  insertChunks,
  insertRow,
  isNumberTaken,
  type Chunked,
  type Row,
} from '../db/queries/transfer'
import { bytesName, listed, paperName, type JobFile, type Manifest } from './archive'
import { eventsOf, thumbnailOf } from './checkJobFile'
import { differences, haveSameBeginning } from './sameJob'

/** What became of a job of an archive. */
export interface JobOutcome {
  readonly kind: 'new' | 'grown' | 'same' | 'apart' | 'refused'
  readonly id: string
  readonly entries: number
  readonly files: number
  /** in words, each for itself; empty = nothing that anybody has to know */
  readonly remarks: readonly string[]
}

export interface Source {
  readonly folder: string
  readonly manifest: Manifest
}

/**
 * A job that is not here comes whole; one that is here grows by the entries that the archive has beyond ours.
 * Where both went on after the same beginning nobody can say what came first: ours stays, and it is told.
 * @param refusal why it cannot be taken in; null = it can
 */
export async function importJob(
  db: Db,
  source: Source,
  file: JobFile,
  refusal: string | null,
): Promise<JobOutcome> {
  const id = file.job.id as string
  const tag = jobTag(file.job.number as number)
  const untouched = (kind: JobOutcome['kind'], ...remarks: string[]) => ({
    kind,
    id,
    entries: 0,
    files: 0,
    remarks,
  })
  if (refusal !== null) return untouched('refused', `${tag}: not taken in: ${refusal}`)
  const here = await lockJob(db, id)
  if (!here) return insertJob(db, source, file, tag)
  const ours = (await selectEvents(db, [id])).get(id)!
  const theirs = eventsOf(file)
  const name = here.number === file.job.number ? tag : `${jobTag(here.number)} (${tag} there)`
  if (!haveSameBeginning(ours, theirs))
    return untouched('apart', `${name}: entered on both sides since; nothing was taken, ours stays as it is`)
  const added = theirs.slice(ours.length)
  await insertEntries(db, id, added)
  if (withdrawal(theirs)?.id !== withdrawal(ours)?.id) await followWithdrawal(db, id)
  const moved = added.findLast(e => e.kind === 'model-changed')
  if (moved) await moveJob(db, id, moved.to)
  // Where a set is that was handed over there is not said by what stands here.
  if (added.some(e => e.kind === 'handed-over'))
    await updateJob(db, id, { onBench: file.job.onBench === true }, null)
  const remarks = differences((await selectJob(db, id))!, file.job).map(words => `${name}: ${words}`)
  if (file.job.ownerErasedAt && here.owner !== file.job.owner)
    remarks.push(`${name}: the owner was erased there on request; npm run erase does it here`)
  // What was erased here does not come back with the papers of a workshop that does not know of it.
  const isPaperOut = theirs.length < ours.length && (await isOwnerErased(db, id))
  const files = await insertRowsOfJob(db, source, isPaperOut ? withoutPapers(file.rows) : file.rows)
  if (added.length + files > 0) await markForIndex(db, id)
  return { kind: added.length + files > 0 ? 'grown' : 'same', id, entries: added.length, files, remarks }
}

const withoutPapers = (rows: JobFile['rows']): JobFile['rows'] => ({
  ...rows,
  handover_issue: [],
  handover_paper: [],
})

async function insertJob(db: Db, source: Source, file: JobFile, tag: string): Promise<JobOutcome> {
  const id = file.job.id as string
  const isTaken = await isNumberTaken(db, file.job.number as number)
  const number = isTaken ? await freeNumber(db) : (file.job.number as number)
  await insertRow(db, 'job', { ...file.job, number })
  const events = eventsOf(file)
  await insertEntries(db, id, events)
  const files = await insertRowsOfJob(db, source, file.rows)
  await markForIndex(db, id)
  const remarks = isTaken ? [`${tag} is ${jobTag(number)} here: the number was taken`] : []
  return { kind: 'new', id, entries: events.length, files, remarks }
}

async function insertEntries(db: Db, jobId: string, events: readonly JobEvent[]): Promise<void> {
  for (const event of events)
    if (!(await insertEvent(db, jobId, event)))
      throw new Error(`entry ${event.id} belongs to another job here`)
}

/** @returns how many of them were not here */
export async function insertRowsOfJob(db: Db, source: Source, rows: JobFile['rows']): Promise<number> {
  let added = 0
  const count = (isNew: boolean) => (added += isNew ? 1 : 0)
  for (const row of rows.handover_issue ?? []) count(await insertRow(db, 'handover_issue', row))
  for (const row of rows.handover_paper ?? [])
    count(await insertRow(db, 'handover_paper', row, bytesOf(source, paperName(row.jobId, row.number))))
  // An exercise that was still open cannot go on here: the simulated set stands there.
  for (const row of rows.practice_session ?? [])
    count(
      await insertRow(db, 'practice_session', {
        ...row,
        finishedAt: row.finishedAt ?? source.manifest.exportedAt,
      }),
    )
  for (const table of ['attachment', 'recording'] as const)
    for (const row of rows[table] ?? []) count(await insertFile(db, source, table, row))
  return added
}

async function insertFile(db: Db, source: Source, table: Chunked, row: Row): Promise<boolean> {
  const thumbnail = table === 'attachment' ? thumbnailOf(source.manifest, row.id) : null
  const small = thumbnail === null ? null : bytesOf(source, thumbnail)
  if (!(await insertRow(db, table, row, small))) return false
  const path = listed(source.folder, source.manifest, bytesName(table, row.id))
  const pieces = createReadStream(path, { highWaterMark: 1_048_576 }) as AsyncIterable<Buffer>
  await insertChunks(db, table, row.id as string, pieces)
  return true
}

export const bytesOf = ({ folder, manifest }: Source, name: string): Buffer =>
  readFileSync(listed(folder, manifest, name))
