import { benchList } from '../../services/benchList'
import { apiHandler } from '../../utils/api'

export default apiHandler(() => benchList())
