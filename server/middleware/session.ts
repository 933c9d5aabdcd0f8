import { createError, defineEventHandler } from 'h3'
import { t, type MessageCode } from '#shared/i18n'
import type { ErrorCode } from '#shared/errors'
import { entranceOf } from '../services/entrance'
import { ApiError, toWire } from '../utils/apiError'
import { asPageSpeaks } from '../utils/language'
import { log } from '../utils/log'
import { mayDo } from '../utils/mayDo'
import { sessionHash } from '../utils/session'

const REFUSALS = {
  'sign-in-needed': [401, 'server.signInNeeded'],
  'not-allowed': [403, 'server.notAllowed'],
} as const satisfies Partial<Record<ErrorCode, readonly [number, MessageCode]>>

/** Where people sign in, nobody else gets at anything of the workshop. */
export default defineEventHandler(async event => {
  const path = event.path.split('?')[0]!
  if (!path.startsWith('/api/') || path === '/api/health' || path.startsWith('/api/texts/')) return
  try {
    const { signIn, person } = await entranceOf(sessionHash(event))
    event.context.person = person
    const access = signIn ? mayDo(person?.role ?? null, event.method, path) : 'open'
    if (access !== 'sign-in-needed' && access !== 'not-allowed') return
    const [status, words] = REFUSALS[access]
    throw asPageSpeaks(event, () => new ApiError(status, access, t(words)))
  } catch (error) {
    const { status, body } = asPageSpeaks(event, () => toWire(error))
    log.info({ path, code: body.code, person: event.context.person?.name }, 'request not let in')
    throw createError({ statusCode: status, statusMessage: body.code, data: body, message: body.message })
  }
})
