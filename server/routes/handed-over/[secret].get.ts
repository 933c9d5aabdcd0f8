import { defineEventHandler, getRouterParam, setResponseHeaders, setResponseStatus } from 'h3'
import { t } from '#shared/i18n'
import { readBySecret } from '../../services/handoverLinks'
import { toWire } from '../../utils/apiError'
import { asPageSpeaks } from '../../utils/language'
import { log } from '../../utils/log'
import { sendPdf } from '../../utils/sendPdf'

/** Nobody on the way keeps it, no search finds it, and no other page is told the address. */
const PRIVATE = {
  'cache-control': 'no-store',
  'referrer-policy': 'no-referrer',
  'x-robots-tag': 'noindex, nofollow',
  'x-content-type-options': 'nosniff',
} as const

/** An owner reads his copy without signing in. What goes wrong is said in plain text: he has no page here. */
export default defineEventHandler(event =>
  asPageSpeaks(event, async () => {
    setResponseHeaders(event, PRIVATE)
    try {
      const found = await readBySecret(getRouterParam(event, 'secret') ?? '')
      if (found) return await sendPdf(event, found.name, found.pdf)
      setResponseStatus(event, 404)
      return t('server.linkOpensNothing')
    } catch (error) {
      const { status, body } = toWire(error)
      log.error({ path: '/handed-over', code: body.code, error: String(error) }, 'owner copy not shown')
      setResponseStatus(event, status)
      return body.message
    } finally {
      if (!event.node.res.hasHeader('content-type'))
        setResponseHeaders(event, { 'content-type': 'text/plain; charset=utf-8' })
    }
  }),
)
