import { t } from '#shared/i18n'
import type { IncomingMessage } from 'node:http'
import { ApiError } from '../utils/apiError'
import { limitedBody } from '../utils/limitedBody'

/** A file that is sent as a body. */
export async function readUpload(request: IncomingMessage, maxBytes: number): Promise<Buffer> {
  const { bytes, body } = await limitedBody(request, maxBytes)
  if (body === null) throw tooLarge(bytes, maxBytes)
  if (bytes === 0) throw new ApiError(400, 'invalid-field', t('server.theFileIsEmpty'), 'file')
  return body
}

function tooLarge(bytes: number, maxBytes: number): ApiError {
  const mega = (b: number) => (b / 1024 / 1024).toFixed(0)
  return new ApiError(
    413,
    'body-too-large',
    t('server.theFileIsMbLimitMb', { sizeMb: mega(bytes), limitMb: mega(maxBytes) }),
    'file',
  )
}
