import { setResponseStatus } from 'h3'
import { removeView } from '../../../services/search'
import { apiHandler, idParam } from '../../../utils/api'

export default apiHandler(async event => {
  await removeView(idParam(event, 'unknown-view'))
  setResponseStatus(event, 204)
  return null
})
