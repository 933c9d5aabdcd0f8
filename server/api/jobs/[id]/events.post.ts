import type { JobEvent } from '#core/run'
import { jobEventBody } from '#shared/jobEvents'
import { appendEvent } from '../../../services/jobs'
import { apiHandler, idParam, validBody } from '../../../utils/api'
import { setResponseStatus } from 'h3'

export default apiHandler(async event => {
  const jobId = idParam(event, 'unknown-job')
  const body = (await validBody(event, jobEventBody)) as JobEvent
  const { isNew } = await appendEvent(jobId, body)
  setResponseStatus(event, isNew ? 201 : 200)
  return { id: body.id, isNew }
})
