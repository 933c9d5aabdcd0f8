import { removePasskey } from '../../../services/passkeys'
import { apiHandler, idParam } from '../../../utils/api'
import { requirePerson } from '../../../utils/session'

export default apiHandler(event => removePasskey(requirePerson(event), idParam(event, 'unknown-passkey')))
