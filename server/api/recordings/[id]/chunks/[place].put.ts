import { t } from '#shared/i18n'
import { getRouterParam, setResponseStatus } from 'h3'
import { RECORDING_CHUNK_BYTES } from '#shared/recording'
import { keepChunk } from '../../../../services/recordings'
import { readUpload } from '../../../../services/readUpload'
import { apiHandler, idParam } from '../../../../utils/api'
import { ApiError } from '../../../../utils/apiError'

const MAX_CHUNKS = 100_000

export default apiHandler(async event => {
  const id = idParam(event, 'unknown-recording')
  const place = Number(getRouterParam(event, 'place'))
  if (!Number.isInteger(place) || place < 0 || place >= MAX_CHUNKS)
    throw new ApiError(400, 'invalid-field', t('server.placeTheNumberOfThePiece'), 'place')
  await keepChunk(id, place, await readUpload(event.node.req, RECORDING_CHUNK_BYTES))
  setResponseStatus(event, 204)
  return null
})
