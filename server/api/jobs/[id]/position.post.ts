import { setResponseStatus } from 'h3'
import { runPositionBody } from '#shared/jobLive'
import { tellPosition } from '../../../services/jobLive'
import { apiHandler, idParam, validBody } from '../../../utils/api'

export default apiHandler(async event => {
  const id = idParam(event, 'unknown-job')
  await tellPosition(id, await validBody(event, runPositionBody))
  setResponseStatus(event, 204)
})
