import { t } from '#shared/i18n'
import type { IncomingMessage } from 'node:http'
import { ApiError } from '../utils/apiError'
import { drain } from '../utils/drain'

/**
 * A body that may be large: read chunk by chunk, never more of it held than is taken, whatever it announced.
 */
export async function readUpload(request: IncomingMessage, maxBytes: number): Promise<Buffer> {
  const announced = Number(request.headers['content-length'] ?? 0)
  if (announced > maxBytes) {
    await drain(request)
    throw tooLarge(announced, maxBytes)
  }
  const chunks: Buffer[] = []
  let bytes = 0
  for await (const chunk of request as AsyncIterable<Buffer>) {
    bytes += chunk.length
    if (bytes <= maxBytes) chunks.push(chunk)
    else chunks.length = 0
  }
  if (bytes > maxBytes) throw tooLarge(bytes, maxBytes)
  if (bytes === 0) throw new ApiError(400, 'invalid-field', t('server.theFileIsEmpty'), 'file')
  return Buffer.concat(chunks)
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
