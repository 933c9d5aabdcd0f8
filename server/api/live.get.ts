import { t } from '#shared/i18n'
import { get } from 'node:http'
import { setResponseHeaders } from 'h3'
import { holdStream } from '../services/openStreams'
import { ApiError } from '../utils/apiError'
import { apiHandler } from '../utils/api'

/** Passes the gateway's stream on, byte by byte; ends it upstream when the listener goes away. */
export default apiHandler(async event => {
  holdStream(event)
  const upstream = await openGateway(`${process.env.GATEWAY_URL}/live`)
  const { res } = event.node
  event._handled = true
  setResponseHeaders(event, {
    'content-type': 'text/event-stream',
    'cache-control': 'no-store',
    'x-accel-buffering': 'no',
  })
  res.flushHeaders()
  res.on('close', () => upstream.destroy())
  upstream.on('error', () => res.end())
  upstream.pipe(res)
})

function openGateway(url: string): Promise<import('node:http').IncomingMessage> {
  return new Promise((resolve, reject) => {
    const away = () =>
      reject(new ApiError(503, 'gateway-away', t('server.instrumentsOfflineTheInstrumentServerDoes')))
    if (!URL.canParse(url)) return away()
    const request = get(url, resolve)
    request.setTimeout(5000, () => request.destroy())
    request.on('error', away)
  })
}
