import { unblock } from '../../services/blockedPeriods'
import { apiHandler, idParam } from '../../utils/api'

export default apiHandler(event => unblock(idParam(event, 'unknown-period')))
