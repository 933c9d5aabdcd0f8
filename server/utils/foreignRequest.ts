import { hostname } from 'node:os'

/** What a request says of where it comes from. */
export interface RequestOrigin {
  readonly method: string
  readonly path: string
  readonly host: string | undefined
  readonly origin: string | undefined
  /** of the browser that sends it; tools send none */
  readonly fetchSite: string | undefined
  readonly contentType: string | undefined
  /** what the browser wants it for; *document* = a page of its own, which no other page reads */
  readonly fetchDest: string | undefined
}
export type Foreign = 'foreign-host' | 'foreign-origin' | 'foreign-type'

/** Types that any page may send anywhere without asking first (WHATWG Fetch, CORS-safelisted). */
const SENT_WITHOUT_ASKING = /^(text\/plain|application\/x-www-form-urlencoded|multipart\/form-data)\b/i
const READING = new Set(['GET', 'HEAD', 'OPTIONS'])
const IPV4 = /^\d{1,3}(\.\d{1,3}){3}$/

/** Names under which this server may be called beside its addresses: its own, and those that it was told. */
export function knownNames(told = process.env.DIAPASON_HOSTS ?? ''): ReadonlySet<string> {
  const own = hostname().toLowerCase()
  const more = told.toLowerCase().split(/[\s,]+/)
  return new Set(['localhost', own, `${own}.local`, ...more].filter(name => name !== ''))
}

/**
 * Whether another page or another name than ours is behind a request. An address cannot be made to
 * point elsewhere, a name can (DNS rebinding): names are known ones.
 * @returns null = it may go on
 */
export function foreign(request: RequestOrigin, names: ReadonlySet<string>): Foreign | null {
  if (!isKnownHost(request.host, names)) return 'foreign-host'
  const isRead = READING.has(request.method)
  // Another page may link to ours, and may neither read nor embed what the server says.
  const crossSite = request.fetchSite === 'cross-site' || request.fetchSite === 'same-site'
  const isEmbedded = request.path.startsWith('/api/') && request.fetchDest !== 'document'
  if (crossSite && (!isRead || isEmbedded)) return 'foreign-origin'
  if (isRead) return null
  if (request.origin !== undefined && hostOf(request.origin) !== request.host) return 'foreign-origin'
  const isOurs = request.origin !== undefined || request.fetchSite === 'same-origin'
  return !isOurs && SENT_WITHOUT_ASKING.test(request.contentType ?? '') ? 'foreign-type' : null
}

function isKnownHost(host: string | undefined, names: ReadonlySet<string>): boolean {
  if (host === undefined) return false
  if (host.startsWith('[')) return /^\[[\da-f:.]+\](:\d+)?$/i.test(host)
  const [name = '', port = '80', more] = host.toLowerCase().split(':')
  return more === undefined && /^\d{1,5}$/.test(port) && (IPV4.test(name) || names.has(name))
}

/** "null" and what is no address belong to no host. */
function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host
  } catch {
    return null
  }
}
