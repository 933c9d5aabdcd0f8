import { messageWords } from '#shared/words/messageWords'
import type { Message } from '#core/message'
import { t } from '#shared/i18n'
import { ApiError } from '../utils/apiError'

/** Not there, and too late: said as it is. Whatever else is a refusal of the instrument. */
const PASSED_ON: readonly number[] = [404, 504]

/** Tells the gateway process something; its refusals become words for the reader. */
export async function gatewayRequest<T>(
  path: '/set' | '/ask' | '/stepped' | '/stepped/cancel',
  body?: unknown,
): Promise<T> {
  const url = process.env.GATEWAY_URL
  if (!url) throw new ApiError(503, 'gateway-away', t('server.noInstrumentServerIsRunningBeside'))
  const response = await fetch(
    url + path,
    body === undefined
      ? {}
      : { method: 'POST', body: JSON.stringify(body), headers: { 'content-type': 'application/json' } },
  ).catch(() => {
    throw new ApiError(503, 'gateway-away', t('server.theInstrumentServerDoesNotRespond'))
  })
  const answer = (await response.json()) as T & { says?: Message }
  if (!response.ok)
    throw new ApiError(
      PASSED_ON.includes(response.status) ? response.status : 422,
      response.status === 404 ? 'unknown-instrument' : 'instrument-refused',
      answer.says ? messageWords(answer.says) : t('server.theInstrumentRejectedIt'),
    )
  return answer
}
