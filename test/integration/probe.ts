import { filesUnder } from '../filesUnder'
import type { TestHouse } from './house'

/**
 * More work than this for one request is a way to stop the house [ms of the server's processor time]. By the
 * clock it would be a test of the machine; the second limit only ends a request that is never answered.
 */
const MAX_WORK_MS = 1000
const NEVER_MS = 60_000

export interface Route {
  readonly method: string
  readonly path: string
}
/** Streams that never end are opened elsewhere. */
const STREAMS = /\/live$/
/** Every route there is but the streams, from the files that make them. */
export const ROUTES: readonly Route[] = filesUnder(['server/api'], /\.ts$/)
  .map(file => {
    const [, path, method] = /^server(\/api\/.*?)(?:\/index)?\.(get|post|put|patch|delete)\.ts$/.exec(file)!
    return { method: method!.toUpperCase(), path: path! }
  })
  .filter(r => !STREAMS.test(r.path))

export const filled = (path: string, name: string) => path.replace(/\[\w+\]/g, name)

/**
 * What came back that no request may get: a server error, an answer without words, or one that took far too
 * much work.
 * @param cookie of whoever is signed in
 */
export async function badAnswer(
  house: TestHouse,
  { method, path }: Route,
  body?: string,
  cookie = '',
): Promise<string | null> {
  const before = house.workedMs()
  const answer = await fetch(house.address + path, {
    method,
    signal: AbortSignal.timeout(NEVER_MS),
    headers: { cookie, ...(body === undefined ? {} : { 'content-type': 'application/json' }) },
    ...(body === undefined ? {} : { body }),
  })
  const text = await answer.text()
  const workMs = house.workedMs() - before
  const what = `${method} ${path.slice(0, 80)} ${body?.slice(-300) ?? ''}`
  if (workMs > MAX_WORK_MS) return `${what}: ${workMs} ms of work`
  // Without instruments and without a simulated bench their routes say that those are away.
  if (answer.status >= 500 && !/"(gateway|bench)-away"/.test(text)) return `${what}: ${answer.status}`
  const isMute =
    answer.status >= 400 && path.startsWith('/api') && !/"message":\s*"(?:[^"\\]|\\.){3,}/.test(text)
  return isMute ? `${what}: ${answer.status} without words: ${text.slice(0, 80)}` : null
}
