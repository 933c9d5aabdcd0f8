import { t } from '#shared/i18n'
import { object } from '#shared/yup'
import { ownProfile } from '#shared/instrument'
import { pool } from '../../../db/pool'
import { updateOwnProfile } from '../../../db/queries/instrument'
import { ApiError } from '../../../utils/apiError'
import { apiHandler, idParam, validBody } from '../../../utils/api'

/** null puts the shipped profile back. */
const body = object({ ownProfile: ownProfile.nullable().defined() }).noUnknown()

export default apiHandler(async event => {
  const id = idParam(event, 'unknown-instrument')
  const updated = await updateOwnProfile(pool, id, (await validBody(event, body)).ownProfile)
  if (!updated) throw new ApiError(404, 'unknown-instrument', t('server.instrumentNotFound'))
  return updated
})
