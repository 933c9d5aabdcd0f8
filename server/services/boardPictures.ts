import { t } from '#shared/i18n'
import { pool } from '../db/pool'
import { insertSheetPicture, selectSheetPicture, type SheetPicture } from '../db/queries/sheetPicture'
import { ApiError } from '../utils/apiError'
import { keptPicture } from './picture'

/** A photo of a board, kept for all jobs of the model. Sent twice it is kept once. */
export async function keepBoardPicture(
  id: string,
  upload: Buffer,
): Promise<{ id: string; width: number; height: number }> {
  const { mime, width, height, data } = await keptPicture(upload)
  await insertSheetPicture(pool, { id, mime, width, height, data })
  return { id, width, height }
}

export async function requireBoardPicture(id: string): Promise<SheetPicture> {
  const found = await selectSheetPicture(pool, id)
  if (!found) throw new ApiError(404, 'unknown-picture', t('server.boardPictureNotFound'))
  return found
}
