import { ApiError } from '../utils/apiError'

/** Tells the gateway process something; its refusals become words for the reader. */
export async function gatewayRequest<T>(
  path: '/set' | '/ask' | '/stepped' | '/stepped/cancel',
  body?: unknown,
): Promise<T> {
  const url = process.env.GATEWAY_URL
  if (!url) throw new ApiError(503, 'gateway-away', 'No instrument server is running beside this server.')
  const response = await fetch(
    url + path,
    body === undefined
      ? {}
      : { method: 'POST', body: JSON.stringify(body), headers: { 'content-type': 'application/json' } },
  ).catch(() => {
    throw new ApiError(503, 'gateway-away', 'The instrument server does not respond.')
  })
  const answer = (await response.json()) as T & { message?: string }
  if (!response.ok)
    throw new ApiError(
      response.status === 504 ? 504 : response.status === 404 ? 404 : 422,
      response.status === 404 ? 'unknown-instrument' : 'instrument-refused',
      answer.message ?? 'The instrument rejected it.',
    )
  return answer
}
