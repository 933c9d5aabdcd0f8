import { CoreError } from '#core/errors'
import { cameAs, jobSheet, jobSheets, type JobEvent, type JobSheets } from '#core/run'
import { SHEETS, modelSheet, type ModelSheet, type SchoolChoices } from '#core/sheet'
import type { Db } from '../db/pool'
import { selectNewest, selectNewestSheets, selectRevision } from '../db/queries/sheet'

/** What says which sheet a job is measured by. */
export interface OfSheet {
  readonly sheetId: string
  readonly sheetRevision: number
  readonly schools: SchoolChoices
}

/** Revisions never change, so whoever has read one may keep it; any process can read it anew. */
const kept = new Map<string, ModelSheet>()
const MAX_KEPT = 300

/**
 * One revision of a sheet, shipped or written here; undefined = the newest.
 * @throws {CoreError} unknown-sheet
 */
export async function requireSheet(db: Db, id: string, revision?: number): Promise<ModelSheet> {
  const wanted = revision ?? (await selectNewest(db, id))
  if (wanted === null || SHEETS.some(s => s.id === id && s.revision === wanted))
    return modelSheet(id, wanted ?? undefined)
  const key = `${id}@${wanted}`
  const sheet = kept.get(key) ?? (await selectRevision(db, id, wanted))
  if (!sheet) throw new CoreError('unknown-sheet', `sheet "${id}" revision ${wanted} not found`)
  if (kept.size > MAX_KEPT) kept.clear()
  kept.set(key, sheet)
  return sheet
}

/** The sheet that a job is measured by: its revision, with its own corrections and schools. */
export async function sheetOfJob(
  db: Db,
  { sheetId, sheetRevision, schools }: OfSheet,
  events: readonly JobEvent[],
): Promise<ModelSheet> {
  return jobSheet(await requireSheet(db, sheetId, sheetRevision), schools, events)
}

/** What a job is measured by, and what the set came as where it was converted. */
export async function sheetsOfJob(db: Db, job: OfSheet, events: readonly JobEvent[]): Promise<JobSheets> {
  const came = cameAs(events)
  const [now, found] = await Promise.all([
    requireSheet(db, job.sheetId, job.sheetRevision),
    came ? requireSheet(db, came.sheetId, came.sheetRevision) : null,
  ])
  return jobSheets(now, found, job.schools, events)
}

/** The sheets of many jobs before their own corrections, each read once. */
export async function baseSheets(db: Db, jobs: readonly OfSheet[]): Promise<(job: OfSheet) => ModelSheet> {
  const found = new Map<string, ModelSheet>()
  const key = (j: OfSheet) => `${j.sheetId}@${j.sheetRevision}`
  for (const job of jobs)
    if (!found.has(key(job))) found.set(key(job), await requireSheet(db, job.sheetId, job.sheetRevision))
  return job => found.get(key(job))!
}

/** Every sheet there is, the newest revision of each. */
export async function everySheet(db: Db): Promise<ModelSheet[]> {
  const here = await selectNewestSheets(db)
  return [...SHEETS.filter(s => !here.some(h => h.id === s.id)), ...here].sort((a, b) =>
    a.model.localeCompare(b.model),
  )
}
