import { views } from '../../services/search'
import { apiHandler } from '../../utils/api'

export default apiHandler(() => views())
