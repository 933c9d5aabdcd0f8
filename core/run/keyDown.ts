/** Carrier power above this means that the set is keyed [W]: above the offset of a cold meter, below any low-power setting. */
export const KEYED_ABOVE_W = 0.02
/** Rest after a key-down, as a multiple of its length (common practice: at least twice). */
const REST_FACTOR = 2
/** Share of the limit at which the clock warns. */
const WARN_SHARE = 0.8

/** The key-down clock: measured RF or the K key drive it; time is passed in. */
export interface KeyDown {
  readonly keyedSinceMs: number | null
  readonly lastLengthMs: number
  readonly endedAtMs: number | null
  readonly totalMs: number
}

export const NOT_KEYED: KeyDown = { keyedSinceMs: null, lastLengthMs: 0, endedAtMs: null, totalMs: 0 }

/** The clock after learning at nowMs that the set is or is not keyed. */
export function keyDownStep(clock: KeyDown, keyed: boolean, nowMs: number): KeyDown {
  if (keyed) return clock.keyedSinceMs === null ? { ...clock, keyedSinceMs: nowMs } : clock
  if (clock.keyedSinceMs === null) return clock
  const lengthMs = Math.max(0, nowMs - clock.keyedSinceMs)
  return { keyedSinceMs: null, lastLengthMs: lengthMs, endedAtMs: nowMs, totalMs: clock.totalMs + lengthMs }
}

export interface KeyDownView {
  readonly phase: 'idle' | 'keyed' | 'warn' | 'over' | 'rest'
  /** seconds keyed, or seconds of rest still due */
  readonly seconds: number
  readonly limitS: number | null
}

/** What the clock shows at nowMs. */
export function keyDownView(clock: KeyDown, limitS: number | null, nowMs: number): KeyDownView {
  if (clock.keyedSinceMs !== null) {
    const seconds = Math.max(0, nowMs - clock.keyedSinceMs) / 1000
    const phase = limitS === null ? 'keyed' : seconds >= limitS ? 'over' : seconds >= limitS * WARN_SHARE ? 'warn' : 'keyed'
    return { phase, seconds, limitS }
  }
  const restS = clock.endedAtMs === null ? 0 : (clock.endedAtMs + REST_FACTOR * clock.lastLengthMs - nowMs) / 1000
  return restS > 0 ? { phase: 'rest', seconds: restS, limitS } : { phase: 'idle', seconds: 0, limitS }
}
