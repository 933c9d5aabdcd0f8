import { t } from '#shared/i18n'
import { instrumentProfile } from '#core/instrument'
import { instrumentBody } from '#shared/instrument'
import { pool } from '../../db/pool'
import { updateInstrument } from '../../db/queries/instrument'
import { ApiError } from '../../utils/apiError'
import { apiHandler, idParam, validBody } from '../../utils/api'

export default apiHandler(async event => {
  const id = idParam(event, 'unknown-instrument')
  const body = await validBody(event, instrumentBody)
  instrumentProfile(body.profileId)
  const updated = await updateInstrument(pool, id, body)
  if (!updated) throw new ApiError(404, 'unknown-instrument', t('server.instrumentNotFound'))
  return updated
})
