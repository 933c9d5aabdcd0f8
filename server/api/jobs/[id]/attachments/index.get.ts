import { attachmentsOf } from '../../../../services/attachments'
import { apiHandler, idParam } from '../../../../utils/api'

export default apiHandler(event => attachmentsOf(idParam(event, 'unknown-job')))
