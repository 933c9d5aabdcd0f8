import { benchRequest } from '../../services/practice'
import { apiHandler } from '../../utils/api'

export default apiHandler(() => benchRequest('/state'))
