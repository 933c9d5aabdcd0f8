import { defineEventHandler, getHeader, createError } from 'h3'
import { t, type MessageCode } from '#shared/i18n'
import { ApiError, toWire } from '../utils/apiError'
import { foreign, knownNames, type Foreign } from '../utils/foreignRequest'
import { asPageSpeaks } from '../utils/language'
import { log } from '../utils/log'

const WORDS: Readonly<Record<Foreign, MessageCode>> = {
  'foreign-host': 'server.foreignHost',
  'foreign-origin': 'server.foreignOrigin',
  'foreign-type': 'server.foreignType',
}
const names = knownNames()

/** No page of another site writes here or reads here, and no foreign name points here. */
export default defineEventHandler(event => {
  const host = getHeader(event, 'host')
  const found = foreign(
    {
      method: event.method,
      path: event.path,
      host,
      origin: getHeader(event, 'origin'),
      fetchSite: getHeader(event, 'sec-fetch-site'),
      fetchDest: getHeader(event, 'sec-fetch-dest'),
      contentType: getHeader(event, 'content-type'),
    },
    names,
  )
  if (found === null) return
  log.warn({ path: event.path, host, code: found }, 'foreign request refused')
  const { status, body } = asPageSpeaks(event, () =>
    toWire(new ApiError(403, found, t(WORDS[found], { host: host ?? '' }))),
  )
  throw createError({ statusCode: status, statusMessage: body.code, data: body, message: body.message })
})
