import { deleteCookie, getCookie, getRequestIP, setCookie, type H3Event } from 'h3'
import type { SignedIn } from '#shared/people'
import { t } from '#shared/i18n'
import { ApiError } from './apiError'
import { tokenHash } from './secret'

const SESSION = 'diapason_session'
const BROWSER = 'diapason_browser'
const BROWSER_S = 90 * 86_400

declare module 'h3' {
  interface H3EventContext {
    /** who is signed in; null = nobody, or a bench without sign-in */
    person?: SignedIn | null
  }
}

/** No script reads it, no other site sends it; over HTTPS it never goes without. */
const options = (event: H3Event) => ({
  httpOnly: true,
  sameSite: 'strict' as const,
  path: '/',
  secure: 'encrypted' in event.node.req.socket,
})

export const sessionHash = (event: H3Event) => hashOf(getCookie(event, SESSION))
export const browserHash = (event: H3Event) => hashOf(getCookie(event, BROWSER))
const hashOf = (token: string | undefined) => (token ? tokenHash(token) : null)

export const keepSession = (event: H3Event, token: string) => setCookie(event, SESSION, token, options(event))
export const keepBrowser = (event: H3Event, token: string) =>
  setCookie(event, BROWSER, token, { ...options(event), maxAge: BROWSER_S })
export const browserToken = (event: H3Event) => getCookie(event, BROWSER) ?? null
export const forgetSession = (event: H3Event) => deleteCookie(event, SESSION, options(event))

export const addressOf = (event: H3Event) => getRequestIP(event) ?? 'unknown'

/** Who is signed in. @throws {ApiError} sign-in-needed, where nobody is */
export function requirePerson(event: H3Event): SignedIn {
  const { person } = event.context
  if (!person) throw new ApiError(401, 'sign-in-needed', t('server.signInNeeded'))
  return person
}
