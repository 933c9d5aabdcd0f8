import { practiceNow } from '../../services/practice'
import { apiHandler } from '../../utils/api'

export default apiHandler(() => practiceNow())
