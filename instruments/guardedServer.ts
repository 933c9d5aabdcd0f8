import { createServer, type RequestListener, type Server } from 'node:http'

/**
 * A server on loopback for the one program that was started with it: every path begins with a key of that
 * start, so that no other program of this machine, and no page of a browser, has an address to ask.
 * @param key '' = none: for tests in one process
 */
export function guardedServer(key: string, handle: RequestListener): Server {
  const prefix = key === '' ? '' : `/${key}`
  return createServer((request, response) => {
    const { url = '' } = request
    if (!url.startsWith(`${prefix}/`)) return response.writeHead(404).end()
    request.url = url.slice(prefix.length)
    handle(request, response)
  })
}

/** The key that the launcher gave. @throws {Error} when there is none */
export function keyOfThisStart(): string {
  const key = process.env.BESIDE_KEY
  if (!key) throw new Error('BESIDE_KEY is missing: this process is started by npm start or npm run demo')
  return key
}
