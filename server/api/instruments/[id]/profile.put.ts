import { profilePatch } from '#shared/instrument'
import { changeProfile } from '../../../services/instruments'
import { apiHandler, idParam, validBody } from '../../../utils/api'

export default apiHandler(async event => {
  const id = idParam(event, 'unknown-instrument')
  const { ownProfile, version } = await validBody(event, profilePatch)
  return changeProfile(id, version, ownProfile)
})
