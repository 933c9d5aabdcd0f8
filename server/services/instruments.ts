import { instrumentProfile } from '#core/instrument'
import type { Instrument, InstrumentBody, OwnProfile } from '#shared/instrument'
import { t } from '#shared/i18n'
import { pool } from '../db/pool'
import { selectInstrument, updateInstrument, updateOwnProfile } from '../db/queries/instrument'
import { ApiError } from '../utils/apiError'

/** @throws {CoreError} unknown-profile; {ApiError} unknown-instrument, changed-meanwhile */
export async function changeInstrument(
  id: string,
  version: number,
  body: InstrumentBody,
): Promise<Instrument> {
  instrumentProfile(body.profileId)
  return (await updateInstrument(pool, id, version, body)) ?? refused(id)
}

/** @throws {ApiError} unknown-instrument, changed-meanwhile */
export async function changeProfile(
  id: string,
  version: number,
  own: OwnProfile | null,
): Promise<Instrument> {
  return (await updateOwnProfile(pool, id, version, own)) ?? refused(id)
}

async function refused(id: string): Promise<never> {
  if (!(await selectInstrument(pool, id)))
    throw new ApiError(404, 'unknown-instrument', t('server.instrumentNotFound'))
  throw new ApiError(409, 'changed-meanwhile', t('server.someoneElseHasChangedThisInstrument'))
}
