import { passkeysOf } from '../../../services/passkeys'
import { apiHandler } from '../../../utils/api'
import { requirePerson } from '../../../utils/session'

export default apiHandler(event => passkeysOf(requirePerson(event)))
