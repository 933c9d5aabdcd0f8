import type { Requirement } from './judgeReading'

/** What a reading is held against, both sides taken together; null = open on that side. */
export interface DecidingRange {
  readonly low: number | null
  readonly high: number | null
}

/**
 * The stricter bound of each side, of the sheet's window and of the limit in force: what decides is what is
 * shown.
 */
export function decidingRange({ window, limit }: Requirement): DecidingRange {
  return {
    low: stricter(window?.low ?? null, limit?.low ?? null, Math.max),
    high: stricter(window?.high ?? null, limit?.high ?? null, Math.min),
  }
}

function stricter(a: number | null, b: number | null, pick: (...v: number[]) => number): number | null {
  if (a === null) return b
  return b === null ? a : pick(a, b)
}
