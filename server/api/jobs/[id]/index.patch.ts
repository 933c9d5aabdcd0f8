import { jobPatch } from '#shared/job'
import { changeJob } from '../../../services/jobs'
import { apiHandler, idParam, validBody } from '../../../utils/api'

export default apiHandler(async event =>
  changeJob(idParam(event, 'unknown-job'), await validBody(event, jobPatch)),
)
