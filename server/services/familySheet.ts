import { SHEETS, fromTemplate, type ModelSheet } from '#core/sheet'
import { t } from '#shared/i18n'
import type { NewModel } from '#shared/job'
import { SHEET_ID } from '#shared/sheet/sheetId'
import { localDay } from '#shared/words/dateWords'
import type { Db } from '../db/pool'
import { insertRevision, type NewRevision } from '../db/queries/sheet'
import { ApiError } from '../utils/apiError'
import { requireSheet } from './sheetBook'

/**
 * The first sheet of a model that has none: that of its family, marked as such. One that is here already
 * under the same name is taken as it is: somebody else booked in such a set a moment ago.
 * @returns the sheet that the job begins with; it is there for others once the job is kept
 * @throws {ApiError} name-taken, invalid-field
 */
export async function familySheet(
  db: Db,
  id: string,
  { model, family }: NewModel,
  who: string,
): Promise<ModelSheet> {
  if (!SHEET_ID.test(id))
    throw new ApiError(400, 'invalid-field', t('form.idSmallLettersDigitsAnd'), 'sheetId')
  const sheet = fromTemplate(family, id, model, localDay(Date.now()))
  const isNew = !SHEETS.some(s => s.id === id) && (await insertRevision(db, first(sheet, who)))
  if (isNew) return sheet
  const there = await requireSheet(db, id)
  if (there.model === model) return there
  throw new ApiError(409, 'name-taken', t('server.idSheetExistsChooseAnotherName', { id }), 'newModel.model')
}

const first = (sheet: ModelSheet, who: string): NewRevision => ({
  sheet,
  who,
  reason: t('server.bookedInWithoutASheet'),
  changes: [],
  jobId: null,
  eventId: null,
  revisedAtMs: null,
})
