import { t } from '#shared/i18n'
import { setResponseStatus } from 'h3'
import { pool } from '../../db/pool'
import { deleteInstrument } from '../../db/queries/instrument'
import { ApiError } from '../../utils/apiError'
import { apiHandler, idParam } from '../../utils/api'

export default apiHandler(async event => {
  if (!(await deleteInstrument(pool, idParam(event, 'unknown-instrument'))))
    throw new ApiError(404, 'unknown-instrument', t('server.instrumentNotFound'))
  setResponseStatus(event, 204)
  return null
})
