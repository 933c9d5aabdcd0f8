import { audit } from '../services/workshop'
import { apiHandler } from '../utils/api'

export default apiHandler(() => audit())
