import type { WireError } from '../../shared/errors'

/** A browser of its own at a house: it keeps its cookies. */
export class Visitor {
  private readonly cookies = new Map<string, string>()

  constructor(readonly address: string) {}

  async request(
    method: string,
    path: string,
    body?: unknown,
    headers: Readonly<Record<string, string>> = {},
  ): Promise<{ status: number; body: unknown; error: WireError | null }> {
    const response = await fetch(this.address + path, {
      method,
      headers: {
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
        cookie: this.cookieHeader(),
        ...headers,
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    })
    for (const cookie of response.headers.getSetCookie()) this.take(cookie)
    const text = await response.text()
    const isJson = response.headers.get('content-type')?.includes('json') && text !== ''
    const answer = isJson ? (JSON.parse(text) as { data?: WireError }) : text
    const error = response.ok ? null : ((answer as { data?: WireError }).data ?? null)
    return { status: response.status, body: answer, error }
  }

  /** A stream, before it ends. */
  open(path: string): Promise<Response> {
    return fetch(this.address + path, { headers: { cookie: this.cookieHeader() } })
  }

  /** Signs in and says how that ended. */
  async signIn(name: string, password: string): Promise<number> {
    return (await this.request('POST', '/api/sign-in', { name, password })).status
  }

  /** What a cookie is set to, with its flags. */
  readonly seen: string[] = []

  cookieHeader(): string {
    return [...this.cookies].map(([name, value]) => `${name}=${value}`).join('; ')
  }

  private take(cookie: string): void {
    this.seen.push(cookie)
    const [pair = ''] = cookie.split(';')
    const [name = '', value = ''] = pair.split('=')
    if (/max-age=0\b/i.test(cookie) || value === '') this.cookies.delete(name)
    else this.cookies.set(name, value)
  }
}
