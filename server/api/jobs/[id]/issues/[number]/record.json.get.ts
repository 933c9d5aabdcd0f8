import { getRouterParam, setResponseHeader } from 'h3'
import { frozenRecord } from '../../../../../services/handover'
import { apiHandler, idParam } from '../../../../../utils/api'

/** The frozen text itself: its SHA-256 is the checksum on the paper. */
export default apiHandler(async event => {
  const { record, checksum } = await frozenRecord(
    idParam(event, 'unknown-job'),
    Number(getRouterParam(event, 'number')),
  )
  setResponseHeader(event, 'content-type', 'application/json')
  setResponseHeader(event, 'etag', `"${checksum}"`)
  return record
})
