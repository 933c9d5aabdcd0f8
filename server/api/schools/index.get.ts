import { schoolChoices } from '../../services/schools'
import { apiHandler } from '../../utils/api'

export default apiHandler(() => schoolChoices())
