import type { Role } from '#shared/people'

/** What a page needs before anybody has signed in, and signing in itself. */
const OPEN = /^\/api\/(health|me|workshop|sign-in(\/pin|\/passkey(\/offer)?)?|sign-out|texts\/[a-z]{2})$/
/** What belongs to oneself. */
const OWN = /^\/api\/me\//
const OF_OWNER = /^\/api\/(people|audit)(\/|$)/
/** Simulated sets; entries of a job are looked at once more, where it is known whether its set is one. */
const OF_TRAINEE = [/^\/api\/practice(\/|$)/, /^\/api\/jobs\/[^/]+\/(events|position)$/]
const READING = new Set(['GET', 'HEAD', 'OPTIONS'])

export type Access = 'open' | 'sign-in-needed' | 'not-allowed' | 'allowed'

/**
 * Whether a request may go on where people sign in.
 * @param role of whoever is signed in; null = nobody
 * @param path without what stands behind the question mark
 */
export function mayDo(role: Role | null, method: string, path: string): Access {
  if (!path.startsWith('/api/') || OPEN.test(path)) return 'open'
  if (role === null) return 'sign-in-needed'
  if (OWN.test(path) || role === 'owner') return 'allowed'
  if (OF_OWNER.test(path)) return 'not-allowed'
  if (READING.has(method) || role === 'technician') return 'allowed'
  return role === 'trainee' && OF_TRAINEE.some(allowed => allowed.test(path)) ? 'allowed' : 'not-allowed'
}
