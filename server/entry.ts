import '#nitro-internal-pollyfills'
import { readFileSync } from 'node:fs'
import { createServer } from 'node:http'
import { createServer as createTlsServer } from 'node:https'
import { toNodeListener } from 'h3'
import { useNitroApp } from 'nitropack/runtime'
import { setupGracefulShutdown } from 'nitropack/runtime/internal/shutdown'
import { trapUnhandledNodeErrors } from 'nitropack/runtime/internal/utils'
import { log } from './utils/log'

/** Where the web server listens: plain on `HOST`; where a certificate is given, with it on `TLS_HOST` too. */
const { HOST = '127.0.0.1', PORT = '3000', TLS_HOST, TLS_PORT = '3443', TLS_CERT, TLS_KEY } = process.env
/**
 * Somebody who sends a head or a body drop by drop is not waited for; a piece of a recording over the weakest
 * network of a bench takes less.
 */
const { DIAPASON_REQUEST_S = '120' } = process.env
const requestTimeout = Number(DIAPASON_REQUEST_S) * 1000
const LIMITS = {
  headersTimeout: Math.min(10_000, requestTimeout),
  requestTimeout,
  connectionsCheckingInterval: 2000,
}
const nitro = useNitroApp()
const answer = toNodeListener(nitro.h3App)

const plain = createServer(LIMITS, answer)
listen(plain, HOST, PORT)
if (TLS_HOST && TLS_CERT && TLS_KEY) {
  const tls = { cert: readFileSync(TLS_CERT), key: readFileSync(TLS_KEY) }
  listen(createTlsServer({ ...LIMITS, ...tls }, answer), TLS_HOST, TLS_PORT)
}
trapUnhandledNodeErrors()

function listen(server: typeof plain, host: string, port: string) {
  server.once('error', error => {
    log.fatal({ host, port, error: error.message }, 'cannot listen')
    process.exit(1)
  })
  server.listen(Number(port), host, () => log.info({ host, port: Number(port) }, 'web server listening'))
  setupGracefulShutdown(server, nitro)
}
