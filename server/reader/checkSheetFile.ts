import { t } from '#shared/i18n'
import { sheetBody } from '#shared/sheet/sheetBody'
import { sheetFileBody, type SheetFile } from '#shared/sheetFile'
import { ApiError } from '../utils/apiError'
import { parsedJson } from '../utils/jsonBody'

/**
 * A file of a sheet, every revision of it checked by the schema of sheets.
 * @throws {ValidationError} in words, with the field; {ApiError} not-json, invalid-field, cannot-be-kept
 */
export async function checkedSheetFile(upload: Uint8Array): Promise<SheetFile> {
  const parsed = parsedJson(Buffer.from(upload).toString('utf8'), 'server.thisFileIsNotJsonA')
  const file = (await sheetFileBody.validate(parsed, { strict: true })) as unknown as SheetFile
  for (const r of file.revisions) await sheetBody.validate(r?.sheet, { strict: true })
  const ids = new Set(file.revisions.map(r => r.sheet.id))
  const inOrder = file.revisions.every(
    (r, i) => i === 0 || r.sheet.revision > file.revisions[i - 1]!.sheet.revision,
  )
  if (ids.size > 1 || !inOrder)
    throw new ApiError(400, 'invalid-field', t('server.theRevisionsInTheFileAre'), 'revisions')
  return file
}
