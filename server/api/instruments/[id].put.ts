import { instrumentPatch } from '#shared/instrument'
import { changeInstrument } from '../../services/instruments'
import { apiHandler, idParam, validBody } from '../../utils/api'

export default apiHandler(async event => {
  const id = idParam(event, 'unknown-instrument')
  const { version, ...body } = await validBody(event, instrumentPatch)
  return changeInstrument(id, version, body)
})
