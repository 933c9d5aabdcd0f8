import { practiceChange } from '#shared/practice'
import { benchRequest } from '../../services/practice'
import { apiHandler, validBody } from '../../utils/api'

export default apiHandler(async event => benchRequest('/change', await validBody(event, practiceChange)))
