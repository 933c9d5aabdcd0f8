import { handoverLinkBody } from '#shared/handoverLink'
import { makeLink } from '../../../../services/handoverLinks'
import { apiHandler, created, idParam, validBody } from '../../../../utils/api'

export default apiHandler(async event => {
  const jobId = idParam(event, 'unknown-job')
  const body = await validBody(event, handoverLinkBody)
  return created(event, await makeLink(jobId, body, event.context.person ?? null))
})
