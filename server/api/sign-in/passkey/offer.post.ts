import { askPasskey } from '../../../services/passkeys'
import { apiHandler } from '../../../utils/api'

export default apiHandler(event => askPasskey(event))
