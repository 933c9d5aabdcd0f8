import { t } from '#shared/i18n'
import { pool } from '../../../../db/pool'
import { selectPractice } from '../../../../db/queries/practice'
import { ApiError } from '../../../../utils/apiError'
import { apiHandler, idParam } from '../../../../utils/api'

export default apiHandler(async event => {
  const found = await selectPractice(pool, idParam(event, 'unknown-practice'))
  if (!found) throw new ApiError(404, 'unknown-practice', t('server.exerciseNotFound'))
  return found
})
