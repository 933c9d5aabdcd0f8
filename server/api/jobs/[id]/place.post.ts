import { setResponseStatus } from 'h3'
import { runPlaceBody } from '#shared/jobLive'
import { tellPlace } from '../../../services/jobLive'
import { apiHandler, idParam, validBody } from '../../../utils/api'

export default apiHandler(async event => {
  const id = idParam(event, 'unknown-job')
  await tellPlace(id, await validBody(event, runPlaceBody))
  setResponseStatus(event, 204)
})
