import { keepable, parsedJson } from './jsonBody'
import { t, type MessageCode } from '#shared/i18n'
import {
  createError,
  defineEventHandler,
  getHeader,
  getQuery,
  getRouterParam,
  setResponseStatus,
  type EventHandlerRequest,
  type H3Event,
} from 'h3'
import type { Schema } from '#shared/yup'
import { ApiError, toWire } from './apiError'
import { drain } from './drain'
import { limitedBody } from './limitedBody'
import { asPageSpeaks } from './language'
import { log } from './log'

/** Largest request body; the longest note and the fullest row stay far below. */
const MAX_BODY_BYTES = 262_144
const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i

/** A route whose failures become a status and a WireError, each logged once. */
export function apiHandler<T>(work: (event: H3Event<EventHandlerRequest>) => Promise<T>) {
  return defineEventHandler(async event => {
    try {
      return await asPageSpeaks(event, () => work(event))
    } catch (error) {
      const { status, body } = asPageSpeaks(event, () => toWire(error))
      if (status >= 500)
        log.error(
          { path: event.path, code: body.code, error: error instanceof Error ? error.stack : String(error) },
          'request failed',
        )
      else log.info({ path: event.path, code: body.code, field: body.field }, 'request refused')
      throw createError({ statusCode: status, statusMessage: body.code, data: body, message: body.message })
    }
  })
}

/**
 * The JSON body, checked strictly: no coercion, no unknown fields.
 * @throws {ApiError} foreign-type, body-too-large, not-json, cannot-be-kept
 */
export async function validBody<T>(event: H3Event, schema: Pick<Schema<T>, 'validate'>): Promise<T> {
  if (!/^application\/json\b/i.test(getHeader(event, 'content-type') ?? '')) {
    await drain(event.node.req)
    throw new ApiError(415, 'foreign-type', t('server.bodyMustBeJson'))
  }
  const { bytes, body } = await limitedBody(event.node.req, MAX_BODY_BYTES)
  if (body === null) throw tooLarge(bytes)
  return schema.validate(parsedJson(body.toString('utf8')), { strict: true, abortEarly: true })
}

/**
 * What stands behind the question mark, as the schema reads it.
 * @throws {ApiError} invalid-field, cannot-be-kept; {ValidationError}
 */
export async function validQuery<T>(event: H3Event, schema: Pick<Schema<T>, 'validate'>): Promise<T> {
  const query = getQuery(event)
  const twice = Object.keys(query).find(name => Array.isArray(query[name]))
  if (twice !== undefined)
    throw new ApiError(400, 'invalid-field', t('server.parameterTwice', { name: twice.slice(0, 60) }), twice)
  return schema.validate(keepable(query))
}

/** What an id in a path belongs to. */
const NAMED = {
  'unknown-job': 'server.job',
  'unknown-instrument': 'server.instrument',
  'unknown-link': 'server.link',
  'unknown-view': 'server.savedSearch',
  'unknown-attachment': 'server.photoOrRecording',
  'unknown-rule-set': 'server.ruleSet',
  'unknown-period': 'server.blockedPeriod',
  'unknown-recording': 'server.recording',
  'unknown-practice': 'server.exercise',
  'unknown-picture': 'server.boardPicture',
  'unknown-person': 'server.person',
  'unknown-passkey': 'server.passkey',
} as const satisfies Readonly<Record<string, MessageCode>>

/** A UUID from the path. An id of any other form belongs to nothing. */
export function idParam(event: H3Event, unknown: keyof typeof NAMED): string {
  const id = getRouterParam(event, 'id') ?? ''
  if (!UUID.test(id))
    throw new ApiError(404, unknown, t('server.notFound', { named: t(NAMED[unknown]), id: id.slice(0, 60) }))
  return id
}

export function created<T>(event: H3Event, body: T): T {
  setResponseStatus(event, 201)
  return body
}

function tooLarge(bytes: number): ApiError {
  return new ApiError(
    413,
    'body-too-large',
    t('server.theRequestIsKbLimitKb', {
      bytes: Math.round(bytes / 1024),
      maxbodybytes: MAX_BODY_BYTES / 1024,
    }),
  )
}
