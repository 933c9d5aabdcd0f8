import type { IncomingMessage } from 'node:http'
import { PATIENCE_BYTES, drain } from './drain'

/** What came of a body: all of it, or how much there was of what was too much. */
export interface LimitedBody {
  readonly bytes: number
  /** null = more than was taken */
  readonly body: Buffer | null
}

/** Reads a body chunk by chunk: never more of it is held than is taken, whatever it announced, or nothing. */
export async function limitedBody(request: IncomingMessage, maxBytes: number): Promise<LimitedBody> {
  const announced = Number(request.headers['content-length'] ?? 0)
  if (announced > maxBytes) {
    await drain(request)
    return { bytes: announced, body: null }
  }
  const chunks: Buffer[] = []
  let bytes = 0
  for await (const chunk of request as AsyncIterable<Buffer>) {
    bytes += chunk.length
    if (bytes <= maxBytes) chunks.push(chunk)
    else chunks.length = 0
    if (bytes > PATIENCE_BYTES) break
  }
  return { bytes, body: bytes <= maxBytes ? Buffer.concat(chunks) : null }
}
