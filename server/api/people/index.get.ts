import { people } from '../../services/people'
import { apiHandler } from '../../utils/api'

export default apiHandler(() => people())
