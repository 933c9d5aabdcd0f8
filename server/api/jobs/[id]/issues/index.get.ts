import { issuesOf } from '../../../../services/handover'
import { apiHandler, idParam } from '../../../../utils/api'

export default apiHandler(event => issuesOf(idParam(event, 'unknown-job')))
