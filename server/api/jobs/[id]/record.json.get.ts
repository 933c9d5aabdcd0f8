import { setResponseHeader } from 'h3'
import { recordOf } from '../../../services/record'
import { apiHandler, idParam } from '../../../utils/api'

export default apiHandler(async event => {
  const { tag, record } = await recordOf(idParam(event, 'unknown-job'))
  setResponseHeader(event, 'content-disposition', `attachment; filename="${tag}.json"`)
  return record
})
