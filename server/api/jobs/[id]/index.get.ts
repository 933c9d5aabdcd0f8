import { jobWithEvents } from '../../../services/jobs'
import { apiHandler, idParam } from '../../../utils/api'

export default apiHandler(event => jobWithEvents(idParam(event, 'unknown-job')))
