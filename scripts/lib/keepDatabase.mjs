const LOOK_EVERY_MS = 1000
const WINDOW_MS = 60_000
const MAX_STARTS = 5

/**
 * Starts a database again that ended by itself, as the launcher does with every other process; one that keeps
 * ending is given up and reported.
 * @returns ends the watch
 */
export function keepDatabase(cluster, onDeath) {
  const starts = []
  let busy = false
  const timer = setInterval(async () => {
    if (busy || !cluster.isLost()) return
    busy = true
    const now = Date.now()
    starts.push(now)
    if (starts.filter(at => now - at < WINDOW_MS).length > MAX_STARTS) {
      clearInterval(timer)
      onDeath('PostgreSQL', 'ended again and again')
    }
    // Parts of the old server may still hold its memory: then the next look starts it.
    else await cluster.startAgain().catch(() => {})
    busy = false
  }, LOOK_EVERY_MS)
  timer.unref()
  return () => clearInterval(timer)
}
