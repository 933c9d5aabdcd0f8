import { isDeepStrictEqual } from 'node:util'
import { CoreError } from '#core/errors'
import type { ModelSheet } from '#core/sheet'
import { ruleSetBody } from '#shared/ruleSet'
import { sheetBody } from '#shared/sheet/sheetBody'
import type { Db } from '../db/pool'
import { selectOwnRuleSet } from '../db/queries/ruleSet'
import { insertRow, type Row } from '../db/queries/transfer'
import { requireSheet } from '../services/sheetBook'

/** What jobs are measured and judged by: what is taken in, and what here has another content. */
export interface Shared {
  readonly take: readonly Row[]
  /** by id, in words */
  readonly refused: ReadonlyMap<string, string>
}

/**
 * Revisions of sheets that are not here. Where one that is here has another content, nothing of that sheet is
 * taken: jobs refer to a revision by its number.
 */
export async function sheetsToTake(db: Db, rows: readonly Row[]): Promise<Shared> {
  const take: Row[] = []
  const refused = new Map<string, string>()
  for (const row of rows) {
    await sheetBody.validate(row.body, { strict: true })
    const { sheetId, revision } = row as { sheetId: string; revision: number }
    const here = await revisionHere(db, sheetId, revision)
    if (!here) take.push(row)
    else if (!isDeepStrictEqual(plain(here), plain(row.body)))
      refused.set(sheetId, `sheet ${sheetId}, revision ${revision}, is another one here`)
  }
  return { take: take.filter(row => !refused.has(row.sheetId as string)), refused }
}

async function revisionHere(db: Db, id: string, revision: number): Promise<ModelSheet | null> {
  try {
    const sheet = await requireSheet(db, id, revision)
    return sheet.revision === revision ? sheet : null
  } catch (error) {
    if (error instanceof CoreError && error.code === 'unknown-sheet') return null
    throw error
  }
}

/** Rule sets of one's own that are not here. */
export async function ruleSetsToTake(db: Db, rows: readonly Row[]): Promise<Shared> {
  const take: Row[] = []
  const refused = new Map<string, string>()
  for (const row of rows) {
    await ruleSetBody.validate(row.body, { strict: true })
    const here = await selectOwnRuleSet(db, row.id as string)
    if (!here) take.push(row)
    else if (!isDeepStrictEqual(plain(here.body), plain(row.body)))
      refused.set(row.id as string, `rule set ${row.id as string} is another one here`)
  }
  return { take, refused }
}

/**
 * @param jobs that are here by now: a correction of a sheet says on which of them it was made
 * @returns what was taken, in words
 */
export async function insertSheets(db: Db, { take }: Shared, jobs: ReadonlySet<string>): Promise<string[]> {
  for (const row of take) {
    const isHere = row.jobId === null || jobs.has(row.jobId as string)
    await insertRow(db, 'sheet_revision', isHere ? row : { ...row, jobId: null })
  }
  return take.map(row => `sheet ${String(row.sheetId)}, revision ${String(row.revision)}, taken in`)
}

const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value))
