import type { ServerResponse } from 'node:http'
import type { H3Event } from 'h3'
import { t } from '#shared/i18n'
import { ApiError } from '../utils/apiError'
import { addressOf, sessionHash } from '../utils/session'

/** Event streams that one session holds at once: a browser has six connections, some browsers share one. */
const MAX_OF_SESSION = 24
/** Without sign-in all browsers of a machine have one address. */
const MAX_OF_ADDRESS = 400
const held = new Map<string, Set<ServerResponse>>()
const ofSession = (token: Buffer) => `session ${token.toString('base64')}`

/**
 * Counts a stream that is about to be opened to whoever is signed in, who ends it by signing out.
 * @throws {ApiError} too-many-streams
 */
export function holdStream(event: H3Event): void {
  const token = event.context.person ? sessionHash(event) : null
  const holder = token ? ofSession(token) : `address ${addressOf(event)}`
  const streams = held.get(holder) ?? new Set()
  if (streams.size >= (token ? MAX_OF_SESSION : MAX_OF_ADDRESS))
    throw new ApiError(429, 'too-many-streams', t('server.tooManyStreams'))
  const { res } = event.node
  held.set(holder, streams.add(res))
  res.on('close', () => {
    streams.delete(res)
    if (streams.size === 0) held.delete(holder)
  })
}

/** Whoever signed out hears no more; a page that may still listen asks anew. */
export function endStreams(token: Buffer): void {
  for (const stream of held.get(ofSession(token)) ?? []) stream.destroy()
}

export function endAllStreams(): void {
  for (const streams of held.values()) for (const stream of streams) stream.destroy()
}
