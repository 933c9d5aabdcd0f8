import { ownRuleSets } from '../../services/rules'
import { apiHandler } from '../../utils/api'

export default apiHandler(() => ownRuleSets())
