import { kindInfo, type KindInfo, type ModelSheet, type SetKind } from '../sheet'

export type Rest = KindInfo['rest']
export const restOf = (kind: SetKind): Rest => kindInfo(kind).rest
/**
 * The shortest key-down that a sheet allows anywhere: what holds where no step says how long [s]; null = the
 * sheet says none.
 */
export function shortestKeyDownS({ procedure }: Pick<ModelSheet, 'procedure'>): number | null {
  const limits = procedure.flatMap(s => s.keyDownLimitS ?? [])
  return limits.length > 0 ? Math.min(...limits) : null
}
/** A touch of the key is no key-down: no long rest after it [s]. */
const TOUCH_S = 1
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

function keyedPhase(seconds: number, limitS: number | null): 'keyed' | 'warn' | 'over' {
  if (limitS === null) return 'keyed'
  if (seconds >= limitS) return 'over'
  return seconds >= limitS * WARN_SHARE ? 'warn' : 'keyed'
}

/** What the clock shows at nowMs. */
export function keyDownView(
  clock: KeyDown,
  limitS: number | null,
  nowMs: number,
  rest: Rest = restOf('fm-mobile'),
): KeyDownView {
  if (clock.keyedSinceMs !== null) {
    const seconds = Math.max(0, nowMs - clock.keyedSinceMs) / 1000
    return { phase: keyedPhase(seconds, limitS), seconds, limitS }
  }
  const lastS = clock.lastLengthMs / 1000
  const dueS = lastS < TOUCH_S ? rest.factor * lastS : Math.max(rest.minS, rest.factor * lastS)
  const restS = clock.endedAtMs === null ? 0 : dueS - (nowMs - clock.endedAtMs) / 1000
  return restS > 0 ? { phase: 'rest', seconds: restS, limitS } : { phase: 'idle', seconds: 0, limitS }
}
