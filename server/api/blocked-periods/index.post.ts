import { blockedPeriodBody } from '#shared/blockedPeriod'
import { block } from '../../services/blockedPeriods'
import { apiHandler, validBody } from '../../utils/api'

export default apiHandler(async event => block(await validBody(event, blockedPeriodBody)))
