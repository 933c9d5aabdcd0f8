import { localDay } from '#shared/words/dateWords'
import { t, translated } from '#shared/i18n'
import { SHEETS, type ModelSheet } from '#core/sheet'
import type { FieldTrust, SheetSummary, SheetView } from '#shared/sheetFile'
import { inTransaction, pool, type Db } from '../db/pool'
import { countJobs, insertRevision, selectConfirmations, selectRevisions } from '../db/queries/sheet'
import { ApiError } from '../utils/apiError'
import { everySheet, requireSheet } from './sheetBook'

const shipped = (id: string) => SHEETS.some(s => s.id === id)
export const today = (): string => localDay(Date.now())

export async function sheetList(): Promise<SheetSummary[]> {
  const [sheets, jobs] = await Promise.all([everySheet(pool), countJobs(pool)])
  return sheets.map(s => ({
    id: s.id,
    model: s.model,
    kind: s.kind,
    description: translated(s.description),
    planId: s.planId,
    ...(s.bands ? { bands: s.bands } : {}),
    defaultRuleSetId: s.defaultRuleSetId,
    revision: s.revision,
    revisedOn: s.revisedOn,
    adjusters: s.adjusters.length,
    steps: s.procedure.length,
    shipped: shipped(s.id),
    jobs: jobs.get(s.id) ?? 0,
  }))
}

/**
 * One revision (undefined = the newest) with the history of the sheet and how far its fields can be trusted.
 */
export async function sheetView(id: string, revision?: number): Promise<SheetView> {
  const [sheet, newest, revisions] = [
    await requireSheet(pool, id, revision),
    await requireSheet(pool, id),
    await selectRevisions(pool, id),
  ]
  const base = SHEETS.find(s => s.id === id)
  const all =
    base && !revisions.some(r => r.revision === base.revision)
      ? [
          ...revisions,
          {
            revision: base.revision,
            who: '',
            reason: t('server.asDelivered'),
            changes: [],
            revisedAtMs: null,
            jobNumber: null,
            jobId: null,
          },
        ]
      : revisions
  return { sheet, newest: newest.revision, shipped: shipped(id), revisions: all, trust: await fieldTrust(id) }
}

/** Fields that were corrected or confirmed: when, and on how many jobs since. */
export async function fieldTrust(id: string): Promise<FieldTrust[]> {
  const [revisions, confirmations] = await Promise.all([
    selectRevisions(pool, id),
    selectConfirmations(pool, id),
  ])
  const corrected = new Map<string, number>()
  for (const r of revisions)
    for (const c of r.changes) corrected.set(c.line, Math.max(corrected.get(c.line) ?? 0, r.revisedAtMs ?? 0))
  const paths = new Set([...corrected.keys(), ...confirmations.map(c => c.path)])
  return [...paths].map(path => {
    const correctedAtMs = corrected.get(path) ?? null
    const since = confirmations.filter(c => c.path === path && c.atMs >= (correctedAtMs ?? 0))
    return {
      path,
      correctedAtMs,
      confirmed: since.length,
      lastConfirmedAtMs: since.length === 0 ? null : Math.max(...since.map(c => c.atMs)),
    }
  })
}

/** A sheet written here for the first time. */
export async function addSheet(sheet: ModelSheet, who: string, reason: string): Promise<ModelSheet> {
  const first = { ...sheet, revision: 1, revisedOn: today() }
  if (
    shipped(sheet.id) ||
    !(await insertRevision(pool, {
      sheet: first,
      who,
      reason,
      changes: [],
      jobId: null,
      eventId: null,
      revisedAtMs: null,
    }))
  )
    throw new ApiError(
      409,
      'name-taken',
      t('server.idSheetExistsChooseAnotherName', { id: sheet.id }),
      'sheet.id',
    )
  return first
}

/**
 * The next revision of a sheet; one made from an older revision is refused, so that nobody overwrites anybody
 * silently.
 */
export async function reviseSheet(
  id: string,
  from: number,
  sheet: ModelSheet,
  who: string,
  reason: string,
): Promise<ModelSheet> {
  if (sheet.id !== id) throw new ApiError(400, 'invalid-field', t('server.idASheetKeepsItsId'), 'sheet.id')
  return inTransaction(async db => {
    await lockSheet(db, id)
    const newest = await requireSheet(db, id)
    if (newest.revision !== from) throw changedMeanwhile(newest.revision)
    const next = { ...sheet, revision: newest.revision + 1, revisedOn: today() }
    if (
      !(await insertRevision(db, {
        sheet: next,
        who,
        reason,
        changes: [],
        jobId: null,
        eventId: null,
        revisedAtMs: null,
      }))
    )
      throw changedMeanwhile(next.revision)
    return next
  })
}

const changedMeanwhile = (revision: number) =>
  new ApiError(409, 'changed-meanwhile', t('server.someoneElseHasChangedThisSheet', { revision }), 'from')

/** One revision after the other, also from two benches at once. */
export async function lockSheet(db: Db, id: string): Promise<void> {
  await db.query('select pg_advisory_xact_lock(hashtext($1))', [`sheet ${id}`])
}
