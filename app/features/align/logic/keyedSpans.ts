/** A key-down as it is kept. */
export interface KeyedSpan {
  readonly fromMs: number
  readonly untilMs: number
}

/** A touch of the key is no key-down. */
const MIN_KEYED_MS = 300

/**
 * Key-downs for the record: each once. Readings tell beginning and end by the clock of the gateway, alike on
 * every screen; the key line or K by hand tell it only where no reading did, since each screen learns of
 * those at its own moment.
 */
export function newKeyedSpans(tell: (span: KeyedSpan) => void) {
  let liveFromMs: number | null = null
  let fromMs: number | null = null
  let sawLive = false
  const close = (from: number, untilMs: number) => {
    if (untilMs - from >= MIN_KEYED_MS) tell({ fromMs: from, untilMs })
  }
  return {
    /** what the readings say @param atMs of the gateway */
    live(isKeyed: boolean, atMs: number) {
      if (isKeyed) {
        liveFromMs ??= atMs
        sawLive = true
      } else if (liveFromMs !== null) {
        close(liveFromMs, atMs)
        liveFromMs = null
      }
    },
    /** what any sign says, readings among them */
    any(isKeyed: boolean, atMs: number) {
      if (isKeyed) {
        fromMs ??= atMs
        return
      }
      if (fromMs !== null && !sawLive) close(fromMs, atMs)
      fromMs = null
      sawLive = liveFromMs !== null
    },
  }
}
