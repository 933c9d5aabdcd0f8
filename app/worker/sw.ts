import { cacheNames, clientsClaim } from 'workbox-core'
import { matchPrecache, precacheAndRoute, type PrecacheEntry } from 'workbox-precaching'
import { NavigationRoute, registerRoute } from 'workbox-routing'
import { ANSWER_WITHIN_MS, SHELL, TEXTS } from './rendered'

/** What of a worker's scope is used here; static routes are younger than the types. */
interface Installing {
  addRoutes?: (rule: object) => Promise<void>
}
declare const self: {
  readonly __WB_MANIFEST: (PrecacheEntry | string)[]
  addEventListener: (type: 'install', listener: (event: Installing) => void) => void
}

/**
 * Opens the application when its server is away: every file of one build lies in the browser, and the page
 * that starts them with them. What the server tells of a job is not kept here: a job is opened from the
 * memory of the page, which says so.
 */

// A page that is open while this one arrives has not loaded all of its parts yet.
clientsClaim()

// Where a browser can, it takes the files from the cache without waking this worker.
self.addEventListener('install', event => {
  const files = { condition: { urlPattern: '/_nuxt/*' }, source: { cacheName: cacheNames.precache } }
  void event.addRoutes?.(files).catch(() => undefined)
})

/** What the server renders comes from it while it is there: after an upgrade it names the new files. */
async function serverFirst(request: Request, kept: string): Promise<Response> {
  const late = new Promise<null>(resolve => setTimeout(resolve, ANSWER_WITHIN_MS, null))
  const answer = await Promise.race([fetch(request).catch(() => null), late])
  // A proxy in front of a server that is away answers for it.
  if (answer && answer.status < 500) return answer
  return (await matchPrecache(kept)) ?? answer ?? Response.error()
}

registerRoute(
  new NavigationRoute(({ request }) => serverFirst(request, SHELL), { denylist: [/^\/(api|handed-over)\//] }),
)
registerRoute(
  ({ url }) => TEXTS.includes(url.pathname),
  ({ request, url }) => serverFirst(request, url.pathname),
)
// Last, or the page of the last build would be shown while the server is there.
precacheAndRoute(self.__WB_MANIFEST)
