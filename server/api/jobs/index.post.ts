import { newJobBody } from '#shared/job'
import { startJob } from '../../services/jobs'
import { apiHandler, created, validBody } from '../../utils/api'

export default apiHandler(async event => {
  const { id, ...intake } = await validBody(event, newJobBody)
  return created(event, await startJob(id, intake))
})
