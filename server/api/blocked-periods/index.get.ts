import { blockedPeriods } from '../../services/blockedPeriods'
import { apiHandler } from '../../utils/api'

export default apiHandler(() => blockedPeriods())
