import { t } from '#shared/i18n'
import { SHEETS, compareSheets, type ModelSheet } from '#core/sheet'
import { SHEET_FILE_FORMAT, SHEET_FILE_VERSION, type SheetFile, type SheetRevision } from '#shared/sheetFile'
import { inTransaction, pool, type Db } from '../db/pool'
import { insertRevision, selectNewest, selectWholeRevisions } from '../db/queries/sheet'
import { insertSheetPicture, selectSheetPicture, type SheetPicture } from '../db/queries/sheetPicture'
import { isBareJpeg } from './bareJpeg'
import { keptPicture } from './picture'
import { readSheetFile } from './readSheetFile'
import { requireSheet } from './sheetBook'
import { lockSheet, today } from './sheets'

/** A sheet with all its revisions and pictures, as one file. */
export async function sheetFile(id: string): Promise<SheetFile> {
  const here = await selectWholeRevisions(pool, id)
  const shipped = SHEETS.find(s => s.id === id)
  const newest = await requireSheet(pool, id)
  const revisions =
    shipped && !here.some(r => r.sheet.revision === shipped.revision) ? [asShipped(shipped), ...here] : here
  const ids = (newest.boards ?? []).flatMap(b => b.pictureId ?? [])
  const pictures = (await Promise.all(ids.map(i => selectSheetPicture(pool, i)))).flatMap(p =>
    p ? [{ ...p, data: p.data.toString('base64') }] : [],
  )
  return { format: SHEET_FILE_FORMAT, version: SHEET_FILE_VERSION, revisions, pictures }
}

const asShipped = (sheet: ModelSheet): SheetRevision => ({
  sheet,
  who: '',
  reason: t('server.asDelivered'),
  changes: [],
  revisedAtMs: Date.parse(sheet.revisedOn),
})

/** What an import did. */
export interface Imported {
  readonly id: string
  readonly revision: number
  readonly kind: 'new' | 'revision' | 'same'
}

/**
 * Takes in a file: a sheet that is not here comes with all its revisions; one that is here gets the file's
 * newest as its next revision, if it differs. All of it or nothing.
 * @throws {ApiError} what is wrong with the file, in words, with the field
 */
export async function importSheet(upload: Buffer): Promise<Imported> {
  const file = await readSheetFile(upload)
  const newest = file.revisions.at(-1)!.sheet
  const pictures = await Promise.all(file.pictures.map(importedPicture))
  return inTransaction(async db => {
    await lockSheet(db, newest.id)
    for (const p of pictures) await insertSheetPicture(db, p)
    const here = (await isHere(db, newest.id)) ? await requireSheet(db, newest.id) : null
    const unseen = here ? file.revisions.slice(continuesAt(file.revisions, here)) : file.revisions
    if (unseen.length > 0) {
      for (const r of unseen) await insertRevision(db, { ...r, jobId: null, eventId: null })
      return { id: newest.id, revision: newest.revision, kind: here ? 'revision' : 'new' }
    }
    if (compareSheets(here!, newest).length === 0)
      return { id: newest.id, revision: here!.revision, kind: 'same' }
    const sheet = { ...newest, revision: here!.revision + 1, revisedOn: today() }
    await insertRevision(db, {
      sheet,
      who: file.revisions.at(-1)!.who,
      reason: t('server.imported'),
      changes: [],
      jobId: null,
      eventId: null,
      revisedAtMs: null,
    })
    return { id: sheet.id, revision: sheet.revision, kind: 'revision' }
  })
}

/**
 * Kept as it came if it is as we keep one and of the size that the file says, so that an export of it is the
 * same file again; else made so.
 */
async function importedPicture(p: SheetFile['pictures'][number]): Promise<SheetPicture> {
  const came = Buffer.from(p.data, 'base64')
  const { data, mime, width, height } = await keptPicture(came)
  const isOurs = isBareJpeg(came) && width === p.width && height === p.height
  return isOurs ? { ...p, data: came } : { id: p.id, mime, width, height, data }
}

async function isHere(db: Db, id: string): Promise<boolean> {
  return SHEETS.some(s => s.id === id) || (await selectNewest(db, id)) !== null
}

/** Where the file goes on from what is here: behind the revision that is the same; otherwise nowhere. */
function continuesAt(revisions: readonly SheetRevision[], here: ModelSheet): number {
  const at = revisions.findIndex(
    r => r.sheet.revision === here.revision && compareSheets(r.sheet, here).length === 0,
  )
  return at < 0 ? revisions.length : at + 1
}
