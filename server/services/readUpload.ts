import type { IncomingMessage } from 'node:http'
import { ApiError } from '../utils/apiError'

/** A body that may be large: read chunk by chunk and given up as soon as it is too much, whatever it announced. */
export async function readUpload(request: IncomingMessage, mostBytes: number): Promise<Buffer> {
  const announced = Number(request.headers['content-length'] ?? 0)
  if (announced > mostBytes) throw tooLarge(announced, mostBytes)
  const chunks: Buffer[] = []
  let bytes = 0
  for await (const chunk of request as AsyncIterable<Buffer>) {
    bytes += chunk.length
    if (bytes > mostBytes) throw tooLarge(bytes, mostBytes)
    chunks.push(chunk)
  }
  if (bytes === 0) throw new ApiError(400, 'invalid-field', 'The file is empty.', 'file')
  return Buffer.concat(chunks)
}

function tooLarge(bytes: number, mostBytes: number): ApiError {
  const mega = (b: number) => (b / 1024 / 1024).toFixed(0)
  return new ApiError(413, 'body-too-large', `The file is ${mega(bytes)} MB; at most ${mega(mostBytes)} MB are taken. Take it in a smaller size.`, 'file')
}
