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
  const ordinal = Number(getRouterParam(event, 'ordinal'))
  if (!Number.isInteger(ordinal) || ordinal < 0 || ordinal >= MAX_CHUNKS)
    throw new ApiError(400, 'invalid-field', t('server.ordinalTheNumberOfThePiece'), 'ordinal')
  await keepChunk(id, ordinal, await readUpload(event.node.req, RECORDING_CHUNK_BYTES))
  setResponseStatus(event, 204)
  return null
})
