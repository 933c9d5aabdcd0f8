import { randomInt } from 'node:crypto'
import { createServer } from 'node:net'

/**
 * A TCP port that is free now.
 * @param wanted 0 = any; a bookmark and a tablet know the address, so that one that is taken is no other
 * @param setting by which another is chosen
 */
export function freePort(wanted = 0, setting = 'PORT') {
  return new Promise((resolve, reject) => {
    const probe = createServer()
    probe.once('error', error =>
      reject(
        error.code === 'EADDRINUSE'
          ? new Error(
              `Port ${wanted} is taken by another program. Stop it, or choose another: ${setting}=${wanted + 1}`,
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

/** Below those that the system hands out by itself. */
const RANGE = { from: 20_000, to: 32_000 }
const MAX_TRIES = 50

/** The first of so many TCP ports in a row that are free now. */
export async function freePorts(count) {
  for (let tries = 0; tries < MAX_TRIES; tries++) {
    const first = randomInt(RANGE.from, RANGE.to - count)
    const ports = Array.from({ length: count }, (_, i) => first + i)
    const free = await Promise.all(ports.map(port => freePort(port).catch(() => null)))
    if (free.every(port => port !== null)) return first
  }
  throw new Error(`There are no ${count} free ports in a row between ${RANGE.from} and ${RANGE.to}.`)
}
