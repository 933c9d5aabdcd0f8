import { createServer } from 'node:net'

/** A TCP port that is free now; the preferred one if it is. */
export function freePort(preferred = 0) {
  return new Promise((resolve, reject) => {
    const probe = createServer()
    probe.once('error', error => (preferred ? resolve(freePort()) : reject(error)))
    probe.listen(preferred, '127.0.0.1', () => {
      const { port } = probe.address()
      probe.close(() => resolve(port))
    })
  })
}
