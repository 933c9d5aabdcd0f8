import { isDeepStrictEqual } from 'node:util'
import { CoreError } from '#core/errors'
import type { ModelSheet } from '#core/sheet'
import { completeBody } from '#shared/ownRuleSet'
import { ruleSetBody, type RuleSetBody } from '#shared/ruleSet'
import { sheetBody } from '#shared/sheet/sheetBody'
import type { Db } from '../db/pool'
import { selectOwnRuleSet } from '../db/queries/ruleSet'
import { insertRow, type Row } from '../db/queries/transfer'
import { requireSheet } from '../services/sheetBook'

/** What jobs are measured and judged by: what is taken in, and what here has another content. */
export interface Shared {
  readonly take: readonly Row[]
  /** why a job that refers to it cannot be taken in, by what it refers to */
  readonly refused: ReadonlyMap<string, string>
  /** what differs, in words, each once */
  readonly said: readonly string[]
}

export const revisionKey = (sheetId: unknown, revision: unknown) => `${String(sheetId)}@${String(revision)}`

/**
 * Revisions of sheets that are not here. From the first one that has another content here, nothing of that
 * sheet is taken: jobs refer to a revision by its number. Those before it are the same on both sides.
 */
export async function sheetsToTake(db: Db, rows: readonly Row[]): Promise<Shared> {
  const take: Row[] = []
  const refused = new Map<string, string>()
  const apart = new Map<string, string>()
  const inOrder = rows.toSorted((a, b) => Number(a.revision) - Number(b.revision))
  for (const row of inOrder) {
    await sheetBody.validate(row.body, { strict: true })
    const { sheetId, revision } = row as { sheetId: string; revision: number }
    const here = await revisionHere(db, sheetId, revision)
    if (here && !isDeepStrictEqual(plain(here), plain(row.body)) && !apart.has(sheetId))
      apart.set(sheetId, `sheet ${sheetId}, revision ${revision}, is another one here`)
    const why = apart.get(sheetId)
    if (why !== undefined) refused.set(revisionKey(sheetId, revision), why)
    else if (!here) take.push(row)
  }
  return { take, refused, said: [...apart.values()] }
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
    // One of an earlier version lacks what rule sets have since.
    const body = completeBody(row.body as Partial<RuleSetBody>)
    await ruleSetBody.validate(body, { strict: true })
    const here = await selectOwnRuleSet(db, row.id as string)
    if (!here) take.push(row)
    else if (!isDeepStrictEqual(plain(here.body), plain(body)))
      refused.set(row.id as string, `rule set ${row.id as string} is another one here`)
  }
  return { take, refused, said: [...refused.values()] }
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
