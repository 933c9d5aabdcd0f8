import { newJobBody } from '#shared/job'
import { startJob } from '../../services/jobs'
import { apiHandler, created, validBody } from '../../utils/api'

export default apiHandler(async event => {
  const { id, jobKind, newModel, ...intake } = await validBody(event, newJobBody)
  const kind = { jobKind, newModel, by: event.context.person ?? null }
  return created(event, await startJob(id, intake, kind))
})
