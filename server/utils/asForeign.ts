import { setResponseHeaders, type H3Event } from 'h3'

/**
 * Bytes that somebody sent: shown as what they were found to be, never run, never guessed at. Their content
 * never changes.
 */
export function asForeign(event: H3Event, mime: string, bytes: number): void {
  setResponseHeaders(event, {
    'content-type': mime,
    'content-length': bytes,
    'x-content-type-options': 'nosniff',
    'content-security-policy': `default-src 'none'; sandbox`,
    'cache-control': 'private, max-age=31536000, immutable',
  })
}
