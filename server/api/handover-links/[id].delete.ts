import { endLink } from '../../services/handoverLinks'
import { apiHandler, idParam } from '../../utils/api'

export default apiHandler(event => endLink(idParam(event, 'unknown-link'), event.context.person ?? null))
