import { createServer } from 'node:net'

/**
 * A TCP port that is free now.
 * @param wanted 0 = any; a bookmark and a tablet know the address, so that one that is taken is no other
 */
export function freePort(wanted = 0) {
  return new Promise((resolve, reject) => {
    const probe = createServer()
    probe.once('error', error =>
      reject(
        error.code === 'EADDRINUSE'
          ? new Error(
              `Port ${wanted} is taken by another program. Stop it, or choose another: PORT=${wanted + 1}`,
            )
          : error,
      ),
    )
    probe.listen(wanted, '127.0.0.1', () => {
      const { port } = probe.address()
      probe.close(() => resolve(port))
    })
  })
}
