import { linksOf } from '../../../../services/handoverLinks'
import { apiHandler, idParam } from '../../../../utils/api'

export default apiHandler(event => linksOf(idParam(event, 'unknown-job')))
