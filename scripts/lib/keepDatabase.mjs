const LOOK_EVERY_MS = 1000
const WINDOW_MS = 60_000
const MAX_STARTS = 5

/**
 * Starts a database again that ended by itself, as the launcher does with every other process; one that keeps
 * ending is given up and reported.
 * @returns ends the watch, once nothing is being started
 */
export function keepDatabase(cluster, onDeath) {
  const starts = []
  let starting = null
  const look = () => {
    if (starting || !cluster.isLost()) return
    const now = Date.now()
    starts.push(now)
    if (starts.filter(at => now - at < WINDOW_MS).length > MAX_STARTS) {
      clearInterval(timer)
      return onDeath('PostgreSQL', 'ended again and again')
    }
    // Parts of the old server may still hold its memory: then the next look starts it.
    starting = cluster
      .startAgain()
      .catch(() => {})
      .then(() => (starting = null))
  }
  const timer = setInterval(look, LOOK_EVERY_MS)
  timer.unref()
  return async () => {
    clearInterval(timer)
    await starting
  }
}
