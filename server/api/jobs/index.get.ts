import { summaries } from '../../services/jobs'
import { apiHandler } from '../../utils/api'

export default apiHandler(() => summaries())
